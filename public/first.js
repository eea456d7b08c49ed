// What the server drew has its measures beside it: the policy of a page allows none in its text.
for (const drawn of document.querySelectorAll('[data-style]')) drawn.style.cssText = drawn.dataset.style;

// What the server showed of a page makes room for the page that answers. Where that does not come, as when a part of it could not be fetched,
// the reader is told instead of waiting for ever.
addEventListener('load', () => {
  setTimeout(() => {
    const first = document.querySelector('[data-first] main');
    if (!first) return;
    const told = document.createElement('p');
    told.setAttribute('role', 'alert');
    told.append('This page did not start: a part of it could not be fetched. Nothing is lost. ');
    const again = document.createElement('a');
    again.href = location.href;
    again.textContent = 'Load it again';
    told.append(again);
    first.prepend(told);
  }, 10000);
});
