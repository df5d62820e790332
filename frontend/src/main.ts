/** The rest comes after, so that the page's frame is painted by a few lines of style alone. */
if (localStorage.getItem('tonada-workspace') === 'dark')
  document.documentElement.dataset.workspace = 'dark'
void import('./start')
