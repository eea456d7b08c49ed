import { type Node, parse, TextNode } from 'node-html-parser';
import type { ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { Dress } from '../shared/Dress';

/** The words of a part as they are read, parts set apart. */
function wordsIn(part: Node): string {
  const texts = (at: Node): string[] => (at instanceof TextNode ? [at.text] : at.childNodes.flatMap(texts));
  return texts(part)
    .join(' ')
    .replace(/\s+/g, ' ')
    .replace(/ (?=[.,:;)])|(?<=\() /g, '')
    .trim();
}

/** A view as it is first drawn, for tests: what it says, and its parts by selector. */
export function shown(view: ReactNode) {
  const page = parse(renderToStaticMarkup(<Dress>{view}</Dress>));
  for (const style of page.querySelectorAll('style')) style.remove();
  return {
    page,
    /** All it says, in one line. */
    words: wordsIn(page),
    wordsOf: (selector: string) => page.querySelectorAll(selector).map(wordsIn),
    /** What can be pressed, by the name a screen reader tells. */
    buttons: page.querySelectorAll('button').map((button) => button.getAttribute('aria-label') ?? wordsIn(button)),
    /** Names of pictures that tell something. */
    pictures: page.querySelectorAll('[role=img]').map((picture) => picture.getAttribute('aria-label') ?? ''),
  };
}

/** What nobody should read: a figure that is none, one with more decimals than it is known to, what belongs to the program. */
export const ODD = /\b(?:NaN|undefined|null|Infinity)\b|\[object|\d\.\d{3,}|(?<!\.)\.\.(?!\.)|,,|(?:^|[:.] )·/;

/** A field, a button or a picture without a name, as it is written; none where each has one. */
export function nameless({ page }: ReturnType<typeof shown>): string[] {
  const isNamed = (at: { getAttribute: (name: string) => string | undefined }) =>
    (at.getAttribute('aria-label') ?? at.getAttribute('aria-labelledby') ?? at.getAttribute('title')) !== undefined;
  const labelled = new Set(page.querySelectorAll('label').map((label) => label.getAttribute('for')));
  return page
    .querySelectorAll('button, a, input, select, textarea, [role=img], [role=region], [role=group]')
    .filter((at) => at.getAttribute('type') !== 'hidden' && at.getAttribute('aria-hidden') !== 'true')
    .filter((at) => {
      if (isNamed(at)) return false;
      if (['BUTTON', 'A'].includes(at.tagName)) return at.text.trim() === '';
      if (['INPUT', 'SELECT', 'TEXTAREA'].includes(at.tagName))
        return !labelled.has(at.getAttribute('id')) && at.closest('label') === null;
      return true;
    })
    .map((at) => at.outerHTML.slice(0, 120));
}
