import { Dress } from './Dress';
import { Masthead } from './Masthead';

/** The masthead alone, over a page that is whole as it comes from the server. */
export default function PlainMast() {
  return (
    <Dress>
      <Masthead />
    </Dress>
  );
}
