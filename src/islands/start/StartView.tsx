import { Button } from '@mantine/core';
import { useState } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { FaultyInput, type Fault } from '../../core/formats/faults';
import { MAX_FILE_BYTES, readKitchenText } from '../../core/formats/kitchenFile';
import { createKitchen } from '../../client/kitchens';
import { Dress } from '../shared/Dress';
import { DropHere } from '../shared/DropHere';
import { FaultList } from '../shared/FaultList';
import { faultsIn } from '../shared/faultsIn';
import { FilePicker } from '../shared/FilePicker';
import { Masthead } from '../shared/Masthead';
import { Hero, type Sample, Samples } from './Hero';
import type { ListedKitchen } from './KitchenList';
import { KitchenList } from './KitchenList';
import css from './StartView.module.css';
import { YourData } from './YourData';

interface Props {
  samples: Sample[];
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

/** Opening a new kitchen: from nothing, a sample or a file; what went wrong is told. */
function useOpening() {
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<{ title: string; faults: Fault[] } | null>(null);
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
  const readFile = async (file: File) => {
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
  return { busy, trouble, setTrouble, open, readFile };
}

function Start({ samples, kitchens, shown, hasAny }: Props) {
  const { busy, trouble, setTrouble, open, readFile } = useOpening();
  return (
    <>
      <Masthead />
      <main id="main" className={css.page}>
        <Hero shown={shown}>
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
          <DropHere className={css.drop} onDrop={([file]) => file && void readFile(file)}>
            …or drop a kitchen file here.
          </DropHere>
        </Hero>

        {trouble && <FaultList {...trouble} onClose={() => setTrouble(null)} />}

        <KitchenList
          kitchens={kitchens}
          onTrouble={(why) => setTrouble({ title: 'That was not done', faults: [{ path: 'server', message: why }] })}
        />

        <Samples
          samples={samples}
          busy={busy}
          onOpen={(sample) => void open({ from: 'sample', sample }, 'The sample was not opened')}
        />

        <YourData hasAny={hasAny} onTrouble={setTrouble} />
      </main>
    </>
  );
}
