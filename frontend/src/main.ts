/** The rest comes with its style, which so doesn't keep the first frame from being painted. */
void import('./start')
