import { useEffect, useMemo, useState } from 'react';
import { kindWords } from '../../../data/kindWords';
import { reference } from '../../../data/reference';
import { addModels, deleteModel, fetchCatalogue } from '../../client/catalogue';
import type { BladeModel } from '../../core/blade/schema';
import { textOf } from '../../core/formats/bytes';
import { FaultyInput, type Fault } from '../../core/formats/faults';
import { readListRows, readModelsText } from '../../core/kit/shop/listFile';
import { LIST_NAME_MOST } from '../../core/blade/words';
import { CATALOGUE_CURRENCY } from '../../core/money/currency';
import type { ShopList } from '../../core/kit/shop/shopList';
import { faultsIn } from '../shared/faultsIn';
import { readSheetFile } from '../shared/useSheets';
import type { Preview } from './PreviewedList';

/** Largest catalogue file read, bytes. */
const MAX_BYTES = 6 * 1024 * 1024;

type Asked = Pick<Preview, 'source' | 'currency' | 'list'>;

function readSource({ source, currency, list }: Asked, shipped: readonly BladeModel[]): ShopList {
  const knowledge = { reference, words: kindWords, models: shipped, hand: 'right' as const, currency, list };
  return typeof source === 'string' ? readModelsText(source, knowledge) : readListRows(source, knowledge);
}

async function sourceOf(file: File): Promise<string | string[][]> {
  if (file.size > MAX_BYTES) throw new FaultyInput([{ path: 'file', message: 'is larger than 6 MB; split it' }]);
  if (!/\.xlsx$/i.test(file.name)) return textOf(new Uint8Array(await file.arrayBuffer()));
  return readSheetFile(file).catch(() => {
    throw new FaultyInput([{ path: 'file', message: 'is no spreadsheet that can be read: save it as .xlsx or CSV' }]);
  });
}

/** What a list is called until it is named otherwise: its file, without folder and ending. */
const listNamed = (file: string) =>
  file
    .replace(/\.[a-z]+$/i, '')
    .replace(/[_-]+/g, ' ')
    .trim()
    .slice(0, LIST_NAME_MOST) || 'My list';

export interface Trouble {
  title: string;
  faults: Fault[];
}

/** Every model, which of them are this browser's own (by id), and the shipped ones; adding and removing, with what went wrong and what was done. */
export function useOwnModels() {
  const [catalogue, setCatalogue] = useState<Awaited<ReturnType<typeof fetchCatalogue>>>({ models: [], own: [] });
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [told, setTold] = useState('');
  useEffect(() => {
    fetchCatalogue()
      .then(setCatalogue)
      .catch((error: unknown) =>
        setTrouble({ title: 'The catalogue could not be read', faults: faultsIn(error, 'catalogue') }),
      );
  }, []);

  /** Does what changes the models and says so; whether it went well. */
  const changing = async (title: string, work: () => Promise<string>, done?: () => void): Promise<boolean> => {
    setTrouble(null);
    try {
      setTold(await work());
      done?.();
      setCatalogue(await fetchCatalogue());
      return true;
    } catch (error) {
      setTrouble({ title, faults: faultsIn(error, 'catalogue') });
      return false;
    }
  };
  const take = (models: BladeModel[], how: 'skip' | 'replace', done?: () => void) =>
    changing(
      'Nothing was imported',
      async () => {
        const { added, replaced, skipped } = await addModels(models, how);
        return `${added} added, ${replaced} replaced, ${skipped} kept as they were.`;
      },
      done,
    );
  const remove = (id: string) => changing('It was not removed', () => deleteModel(id).then(() => 'Removed.'));

  const { models: all, own } = catalogue;
  const mine = useMemo(() => new Set(own), [own]);
  const shipped = all.filter(({ id }) => !mine.has(id));
  return { all, mine, shipped, take, remove, trouble, setTrouble, told, setTold };
}

/** A list that was brought in and is looked at before it is taken over. */
export function usePreview({ shipped, take, setTrouble, setTold }: ReturnType<typeof useOwnModels>) {
  const [preview, setPreview] = useState<Preview | null>(null);
  const read = async (file: File) => {
    setTold('');
    setPreview(null);
    setTrouble(null);
    try {
      const asked = { source: await sourceOf(file), currency: CATALOGUE_CURRENCY, list: listNamed(file.name) };
      setPreview({ file: file.name, ...asked, ...readSource(asked, shipped) });
    } catch (error) {
      setTrouble({
        title: `${file.name} could not be read; nothing was imported`,
        faults: faultsIn(error, 'catalogue'),
      });
    }
  };
  return {
    preview,
    read,
    leave: () => setPreview(null),
    readAgain: (change: Partial<Pick<Preview, 'currency' | 'list'>>) =>
      setPreview((now) => now && { ...now, ...change, ...readSource({ ...now, ...change }, shipped) }),
    takeOver: (models: BladeModel[], how: 'skip' | 'replace') => take(models, how, () => setPreview(null)),
  };
}
