// What is cut, covered or wider than its place on the page as it stands: one sentence each. What is told whole in a title or label is not cut.
const out = [];
if (document.documentElement.scrollWidth > innerWidth + 1) out.push('page wider than the window: ' + document.documentElement.scrollWidth);
const told = e => e.closest('[title],[aria-label],svg title') !== null;
for (const e of document.querySelectorAll('main *, .edge *, .line *, .stations *')) {
  if (e.closest('.quiet, .unseen, details:not([open]) > :not(summary), [hidden]')) continue;
  const s = getComputedStyle(e);
  if (s.visibility === 'hidden' || s.display === 'none') continue;
  const own = Array.from(e.childNodes).some(n => n.nodeType === 3 && n.textContent.trim() !== '');
  if (e instanceof SVGElement) {
    if (e.tagName !== 'text') continue;
    const svg = e.closest('svg'); const box = svg.getBoundingClientRect(); const b = e.getBoundingClientRect();
    if (b.width === 0) continue;
    const clip = getComputedStyle(svg).overflow !== 'visible';
    const frame = svg.closest('.card, .line-run') ?? svg;
    const f = clip ? box : frame.getBoundingClientRect();
    if (b.left < f.left - 2 || b.right > f.right + 2 || b.bottom > f.bottom + 2 || b.top < f.top - 2) out.push('svg ' + (svg.getAttribute('class')||'') + ' "' + e.textContent.trim().slice(0,50) + '" ' + [b.left-f.left, f.right-b.right, b.top-f.top, f.bottom-b.bottom].map(x=>Math.round(x)).join(','));
    if (e.textContent.includes('…') && !(e.closest('g')?.querySelector('title'))) out.push('svg … ' + e.textContent.trim().slice(0,60));
    continue;
  }
  const hides = v => v === 'hidden' || v === 'clip';
  if (own && hides(s.overflowX) && e.scrollWidth > e.clientWidth + 1 && !told(e)) out.push(e.tagName + '.' + e.className + ' "' + e.textContent.trim().slice(0,50) + '" ' + e.scrollWidth + '>' + e.clientWidth);
  if (own && e.scrollWidth > e.clientWidth + 3 && s.overflowX === 'visible' && s.display !== 'inline' && e.clientWidth > 0) {
     const card = e.closest('.card, .edge, .line, .stations, .notice'); if (card && !e.closest('.section-scroll, .grid-box, [tabindex]') ) { const r = document.createRange(); r.selectNodeContents(e); const rr = r.getBoundingClientRect(); if (rr.right > card.getBoundingClientRect().right + 1) out.push('out of its card ' + e.tagName + '.' + e.className + ' "' + e.textContent.trim().slice(0,50) + '"'); }
  }
  if (own && e.textContent.trim().endsWith('…') && !told(e)) out.push('… ' + e.textContent.trim().slice(0,50));
}
return [...new Set(out)];
