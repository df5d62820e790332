"""Which colour does which job: proposals, signals, plans, the pairs that a page needs."""
