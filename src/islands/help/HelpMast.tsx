import { TextInput } from '@mantine/core';
import { IconSearch } from '@tabler/icons-react';
import { useState } from 'react';
import { Dress } from '../shared/Dress';
import { Masthead } from '../shared/Masthead';
import css from './HelpMast.module.css';

/** Hides the sections of the help without all the words looked for; how many stay. */
function searchHelp(sought: string): number {
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const sections = [...document.querySelectorAll<HTMLElement>('main [data-topic]')];
  for (const section of sections) {
    const text = section.textContent.toLowerCase();
    section.hidden = !words.every((word) => text.includes(word));
  }
  return sections.filter((section) => !section.hidden).length;
}

/** Where the reader came from, when that was a page of ours. */
const cameFrom = () =>
  document.referrer.startsWith(`${location.origin}/`) && !document.referrer.endsWith('/help')
    ? document.referrer
    : null;

/** The masthead of the help, with a search of its topics and the way back. */
export default function HelpMast() {
  const [sought, setSought] = useState('');
  const [left, setLeft] = useState<number | null>(null);
  const [back] = useState(cameFrom);
  return (
    <Dress>
      <Masthead />
      <div className={css.search} role="search">
        <a href={back ?? '/'}>{back ? 'Back to where you were' : 'Back to the start'}</a>
        <TextInput
          type="search"
          aria-label="Search the help"
          placeholder="Search the help: recovery code, sharpening, undo…"
          leftSection={<IconSearch size={16} aria-hidden="true" />}
          value={sought}
          onChange={(e) => {
            setSought(e.currentTarget.value);
            setLeft(searchHelp(e.currentTarget.value));
          }}
        />
        <span role="status" className="faded">
          {sought && left !== null && (left === 0 ? 'Nothing here speaks of that.' : `${left} topics`)}
        </span>
      </div>
    </Dress>
  );
}
