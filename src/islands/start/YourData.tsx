import { Button, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useEffect, useState, type ReactNode } from 'react';
import { FaultyInput, type Fault } from '../../core/formats/faults';
import { MAX_WORKSPACE_BYTES } from '../../core/formats/workspaceFile';
import { Refused } from '../../client/http';
import { restoreKitchen } from '../../client/kitchens';
import {
  countOthers,
  emptyDeleted,
  endOthers,
  fetchDeleted,
  forgetEverything,
  newRecoveryCode,
  openWithCode,
  importWorkspace,
  WORKSPACE_FILE,
  type DeletedKitchen,
} from '../../client/workspace';
import { forgetKept } from '../../client/offline';
import { forgetDevice } from '../shared/device';
import { Dialog } from '../shared/Dialog';
import { faultsIn } from '../shared/faultsIn';
import { FilePicker } from '../shared/FilePicker';
import { day } from '../shared/words';
import list from './StartView.module.css';
import { plural } from '../../core/text/plural';
import css from './YourData.module.css';

interface Props {
  /** Whether there is anything of one's own to take along or forget. */
  hasAny: boolean;
  onTrouble: (trouble: { title: string; faults: Fault[] }) => void;
}
type Asking = 'forget' | 'leave' | 'empty' | null;

/** An import under way: how much of its file was sent, 0–1. */
interface UnderWay {
  name: string;
  share: number;
  stop: () => void;
}

const toStart = () => location.assign('/');

/** The doings of this page that may fail, each told as what it was; those that end on another page go there. */
function useDoings(onTrouble: Props['onTrouble']) {
  const [told, setTold] = useState('');
  const trying = async (title: string, work: () => Promise<unknown>) => {
    setTold('');
    try {
      await work();
    } catch (error) {
      onTrouble({ title, faults: faultsIn(error) });
    }
  };
  const [underWay, setUnderWay] = useState<UnderWay | null>(null);
  const readFile = (file: File) =>
    trying(`${file.name} was not imported`, async () => {
      if (file.size > MAX_WORKSPACE_BYTES)
        throw new FaultyInput([{ path: 'file', message: 'is larger than 80 MB; a backup is never that large' }]);
      const stop = new AbortController();
      const onProgress = (share: number) => setUnderWay({ name: file.name, share, stop: () => stop.abort() });
      onProgress(0);
      try {
        const { kitchens, already, models } = await importWorkspace(file, { onProgress, signal: stop.signal });
        setTold(
          `Imported ${plural(kitchens, 'kitchen')} and ${plural(models.added, 'model')} of your own.` +
            (already > 0 ? ` ${plural(already, 'kitchen')} you had already.` : ''),
        );
        if (kitchens > 0) toStart();
      } finally {
        setUnderWay(null);
      }
    });
  return { told, trying, readFile, underWay };
}

type Trying = ReturnType<typeof useDoings>['trying'];

/** What belongs to this browser's cook as a whole: take it along, open it elsewhere, have deleted kitchens back, or have it forgotten. */
export function YourData({ hasAny, onTrouble }: Props) {
  const { told, trying, readFile, underWay } = useDoings(onTrouble);
  const [code, setCode] = useState<string | null>(null);
  const [tried, setTried] = useState('');
  const [asking, setAsking] = useState<Asking>(null);
  const [deleted, setDeleted] = useState<DeletedKitchen[]>([]);
  useEffect(() => {
    if (hasAny) void fetchDeleted().then(setDeleted, () => undefined);
  }, [hasAny]);

  const open = (code: string, leave: boolean) =>
    trying('That code opened nothing', async () => {
      setTried(code);
      await openWithCode(code, leave).then(toStart, (error: unknown) => {
        if (!(error instanceof Refused) || error.status !== 409) throw error;
        setAsking('leave');
      });
    });
  const restore = (id: string) => trying('It was not had back', () => restoreKitchen(id).then(toStart));
  const empty = () =>
    trying('They were not deleted', async () => {
      await emptyDeleted();
      setDeleted([]);
      setAsking(null);
    });
  const openOthers = () => {
    setAsking(null);
    return open(tried, true);
  };

  return (
    <section aria-labelledby="yours" className={css.yours}>
      <h2 id="yours">Your data</h2>
      <Told told={told} />
      <Take
        hasAny={hasAny}
        onFile={(file) => void readFile(file)}
        onCode={() => void trying('No code was made', async () => setCode(await newRecoveryCode()))}
        onForget={() => setAsking('forget')}
      />
      {underWay && <Importing {...underWay} />}
      {code && <NewCode code={code} trying={trying} />}
      <CodeForm onCode={(code) => void open(code, false)} />
      {deleted.length > 0 && <Deleted kitchens={deleted} onBack={restore} onEmpty={() => setAsking('empty')} />}
      <Questions
        asking={asking}
        deleted={deleted.length}
        onNo={() => setAsking(null)}
        onForget={() => void trying('Nothing was forgotten', forget)}
        onEmpty={() => void empty()}
        onLeave={() => void openOthers()}
      />
    </section>
  );
}

function Told({ told }: { told: string }) {
  return (
    <>
      <p className="faded">
        Your kitchens are stored on this server, for this browser only. Save them as a file, or open them in another
        browser with a code.
      </p>
      <p role="status" className={told ? '' : 'visually-hidden'}>
        {told}
      </p>
    </>
  );
}

async function forget(): Promise<void> {
  await forgetEverything();
  forgetDevice();
  await forgetKept();
  toStart();
}

interface TakeProps {
  hasAny: boolean;
  onFile: (file: File) => void;
  onCode: () => void;
  onForget: () => void;
}

function Take({ hasAny, onFile, onCode, onForget }: TakeProps) {
  return (
    <div className={css.row}>
      {hasAny && (
        <Button component="a" href={WORKSPACE_FILE} download variant="default">
          Save everything as a file
        </Button>
      )}
      <FilePicker name="Backup file" onPick={onFile}>
        Import a backup
      </FilePicker>
      {hasAny && (
        <>
          <Button variant="default" onClick={onCode}>
            Make a recovery code
          </Button>
          <Button variant="default" onClick={onForget}>
            Forget everything about me
          </Button>
        </>
      )}
    </div>
  );
}

interface QuestionsProps {
  asking: Asking;
  /** How many deleted kitchens there are. */
  deleted: number;
  onNo: () => void;
  onForget: () => void;
  onEmpty: () => void;
  onLeave: () => void;
}

/** What is asked before something that cannot be taken back. */
function Questions({ asking, deleted, onNo, onForget, onEmpty, onLeave }: QuestionsProps) {
  return (
    <>
      <Sure open={asking === 'forget'} title="Forget everything?" yes="Forget everything" onNo={onNo} onYes={onForget}>
        All kitchens, snapshots, models of your own and codes are removed at once, here and in every browser that opens
        them. This cannot be undone.
      </Sure>
      <Sure open={asking === 'empty'} title="Delete for good?" yes="Delete for good" onNo={onNo} onYes={onEmpty}>
        {deleted === 1 ? 'This kitchen' : `These ${deleted} kitchens`} cannot be had back then.
      </Sure>
      <Sure
        open={asking === 'leave'}
        title="Leave this browser’s kitchens?"
        yes="Open the others"
        onNo={onNo}
        onYes={onLeave}
      >
        This browser has kitchens of its own. They would no longer be shown here: first save them as a file, or make a
        code that opens them again.
      </Sure>
    </>
  );
}

/** A recovery code, shown once. */
const NewCode = ({ code, trying }: { code: string; trying: Trying }) => (
  <div className={css.code}>
    <p role="status">
      <strong className="figure">{code}</strong> Write it down: it is shown only now, and an earlier code no longer
      works.
    </p>
    <OtherBrowsers trying={trying} />
  </div>
);

/** A new code is often made because another browser is lost: its access can be ended too. */
function OtherBrowsers({ trying }: { trying: Trying }) {
  const [others, setOthers] = useState(0);
  const [ended, setEnded] = useState(false);
  useEffect(() => {
    void countOthers().then(setOthers, () => undefined);
  }, []);
  if (ended) return <p role="status">Only this browser can open your kitchens now.</p>;
  if (others === 0) return null;
  const end = () =>
    trying('The other browsers were not signed out', async () => {
      await endOthers();
      setEnded(true);
    });
  return (
    <>
      <p>
        {others === 1 ? 'One other browser opens' : `${others} other browsers open`} your kitchens. A new code does not
        change that.
      </p>
      <Button size="compact-sm" variant="default" onClick={() => void end()}>
        Sign out {others === 1 ? 'the other browser' : 'all other browsers'}
      </Button>
    </>
  );
}

/** How far an import has come, and a way to stop it. */
function Importing({ name, share, stop }: UnderWay) {
  const isSent = share >= 1;
  return (
    <div className={css.importing}>
      <p role="status">{isSent ? `Reading ${name}…` : `Sending ${name}: ${Math.round(100 * share)} %`}</p>
      <progress value={isSent ? undefined : share} aria-label={`Import of ${name}`} />
      {!isSent && (
        <Button size="compact-sm" variant="default" onClick={stop}>
          Stop
        </Button>
      )}
    </div>
  );
}

/** A code from another browser, typed. */
function CodeForm({ onCode }: { onCode: (code: string) => void }) {
  const form = useForm({
    initialValues: { code: '' },
    validate: { code: (code) => (code.trim() ? null : 'Type the code first.') },
  });
  return (
    <form className={css.row} onSubmit={form.onSubmit(({ code }) => onCode(code))}>
      <TextInput
        className={css.typed ?? ''}
        label="Recovery code from another browser"
        placeholder="XXXXX-XXXXX-XXXXX-XXXXX-XXXXX"
        autoComplete="off"
        maxLength={40}
        {...form.getInputProps('code')}
      />
      <Button type="submit" variant="default" disabled={!form.isValid()}>
        Open
      </Button>
    </form>
  );
}

/** Kitchens deleted within the last thirty days. */
function Deleted({
  kitchens,
  onBack,
  onEmpty,
}: {
  kitchens: DeletedKitchen[];
  onBack: (id: string) => Promise<void>;
  onEmpty: () => void;
}) {
  return (
    <div>
      <h3>Deleted kitchens</h3>
      <ul className={list.list}>
        {kitchens.map(({ id, name, deletedAt }) => (
          <li key={id} className={list.mine}>
            <span>
              {name} <span className="faded">deleted {day(deletedAt)}, kept for 30 days</span>
            </span>
            <Button
              size="compact-sm"
              variant="default"
              aria-label={`Have ${name} back`}
              onClick={() => void onBack(id)}
            >
              Restore
            </Button>
          </li>
        ))}
      </ul>
      <Button size="compact-sm" variant="default" onClick={() => onEmpty()}>
        Delete them for good
      </Button>
    </div>
  );
}

interface SureProps {
  open: boolean;
  title: string;
  yes: string;
  onYes: () => void;
  onNo: () => void;
  children: ReactNode;
}

/** A question before something that cannot be taken back. */
function Sure({ open, title, yes, onYes, onNo, children }: SureProps) {
  return (
    <Dialog open={open} title={title} onClose={onNo}>
      <p>{children}</p>
      <div className={css.answers}>
        <Button variant="default" autoFocus onClick={onNo}>
          Cancel
        </Button>
        <Button className={css.yes ?? ''} onClick={onYes}>
          {yes}
        </Button>
      </div>
    </Dialog>
  );
}
