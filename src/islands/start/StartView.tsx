import { Button } from '@mantine/core';
import { useState, type DragEvent } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { FaultyInput, type Fault } from '../../core/formats/faults';
import { MAX_FILE_BYTES, readKitchenText } from '../../core/formats/kitchenFile';
import { createKitchen } from '../../client/kitchens';
import { Dress } from '../shared/Dress';
import { FaultList } from '../shared/FaultList';
import { faultsIn } from '../shared/faultsIn';
import { FilePicker } from '../shared/FilePicker';
import { Masthead } from '../shared/Masthead';
import { HeroRoll } from './HeroRoll';
import type { ListedKitchen } from './KitchenList';
import { KitchenList } from './KitchenList';
import css from './StartView.module.css';
import { YourData } from './YourData';

interface Props {
  samples: { id: string; name: string; about: string }[];
  kitchens: ListedKitchen[];
  shown: BladeModel[];
  /** Whether this browser has a workspace. */
  hasAny: boolean;
}

/** The first page: start a kitchen, open a sample, bring in a file, or go on with a kitchen of one's own. */
export default function StartView(props: Props) {
  return (
    <Dress>
      <Start {...props} />
    </Dress>
  );
}

function Start({ samples, kitchens, shown, hasAny }: Props) {
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<{ title: string; faults: Fault[] } | null>(null);
  const [over, setOver] = useState(false);

  const open = async (body: Parameters<typeof createKitchen>[0], failing: string) => {
    setBusy(true);
    setTrouble(null);
    try {
      const { id } = await createKitchen(body);
      location.assign(`/kitchens/${id}`);
    } catch (error) {
      setBusy(false);
      setTrouble({ title: failing, faults: faultsIn(error) });
    }
  };

  const readFile = async (file: File | undefined) => {
    if (!file) return;
    const title = `${file.name} was not opened; nothing was changed`;
    try {
      if (file.size > MAX_FILE_BYTES)
        throw new FaultyInput([{ path: 'file', message: 'is larger than 2 MB; a kitchen file is smaller than that' }]);
      const kitchen = readKitchenText(await file.text());
      await open({ from: 'file', kitchen }, title);
    } catch (error) {
      setTrouble({ title, faults: faultsIn(error) });
    }
  };

  return (
    <>
      <Masthead />
      <main id="main" className={css.page}>
        <section className={css.top}>
          <div className={css.hero}>
            <h1>The few knives your cooking needs.</h1>
            <p>
              Say what you cook, how you cut and what you can spend. Scabbard works out what that means in cutting,
              tries every blade on it for your hand and board, and lays out a kit in buying order, with the reason for
              each.
            </p>
            <div className={css.actions}>
              <Button
                size="lg"
                className={css.first ?? ''}
                loading={busy}
                onClick={() => void open({ from: 'nothing' }, 'The kitchen was not started')}
              >
                Start my kitchen
              </Button>
              <FilePicker name="Kitchen file" size="lg" onPick={(file) => void readFile(file)}>
                Open a kitchen file
              </FilePicker>
            </div>
            <p
              className={css.drop}
              data-over={over || undefined}
              onDragOver={(e: DragEvent) => {
                e.preventDefault();
                setOver(true);
              }}
              onDragLeave={() => setOver(false)}
              onDrop={(e: DragEvent) => {
                e.preventDefault();
                setOver(false);
                void readFile(e.dataTransfer.files[0]);
              }}
            >
              …or drop a kitchen file here.
            </p>
          </div>
          {shown.length > 0 && <HeroRoll blades={shown} />}
        </section>

        {trouble && <FaultList {...trouble} onClose={() => setTrouble(null)} />}

        <KitchenList
          kitchens={kitchens}
          onTrouble={(why) => setTrouble({ title: 'That was not done', faults: [{ path: 'server', message: why }] })}
        />

        <section aria-labelledby="samples">
          <h2 id="samples">Open a sample</h2>
          <ul className={css.samples}>
            {samples.map(({ id, name, about }) => (
              <li key={id}>
                <button
                  type="button"
                  className={css.sample}
                  disabled={busy}
                  onClick={() => void open({ from: 'sample', sample: id }, 'The sample was not opened')}
                >
                  <strong>{name}</strong>
                  <span>{about}</span>
                </button>
              </li>
            ))}
          </ul>
        </section>

        <YourData hasAny={hasAny} onTrouble={setTrouble} />
      </main>
    </>
  );
}
