import { Dress } from './Dress';
import { Masthead } from './Masthead';

/** The masthead alone, for pages that are otherwise plain text. */
export default function HelpMast() {
  return (
    <Dress>
      <Masthead />
    </Dress>
  );
}
