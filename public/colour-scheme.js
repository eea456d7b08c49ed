// Sets light or dark before the first paint, from the choice kept on this device or the system's.
(() => {
  let choice = null;
  try {
    choice = localStorage.getItem('scabbard-colour-scheme');
  } catch {
    /* storage may be closed; the system's choice stands */
  }
  const dark = choice === 'dark' || (choice !== 'light' && matchMedia('(prefers-color-scheme: dark)').matches);
  document.documentElement.setAttribute('data-mantine-color-scheme', dark ? 'dark' : 'light');
})();
