// Who used the processors: the soak with its servers and database, or other programs of the machine.
import { readdirSync, readFileSync } from 'node:fs';
import { cpus, loadavg } from 'node:os';

/** Clock ticks of /proc, a second. */
const TICKS = 100;

/** Time of all processors so far: busy and in all, ms. */
function processorTime(): { busy: number; all: number } {
  let [busy, all] = [0, 0];
  for (const { times } of cpus()) {
    const each = times.user + times.nice + times.sys + times.irq + times.idle;
    all += each;
    busy += each - times.idle;
  }
  return { busy, all };
}

interface Process {
  pid: number;
  parent: number;
  /** Time it used so far, ms. */
  ms: number;
  command: string;
}

/** The processes of this machine; none where there is no /proc. */
function processes(): Process[] {
  const read = (path: string): string => {
    try {
      return readFileSync(path, 'utf8');
    } catch {
      // it has ended meanwhile, or there is no /proc
      return '';
    }
  };
  let names: string[] = [];
  try {
    names = readdirSync('/proc').filter((name) => /^\d+$/.test(name));
  } catch {
    return [];
  }
  return names.flatMap((name) => {
    // the second field is a name in brackets and may hold spaces
    const fields = read(`/proc/${name}/stat`)
      .replace(/^.*\) /s, '')
      .split(' ');
    if (fields.length < 15) return [];
    const ticks = fields.slice(11, 13).reduce((sum, field) => sum + Number(field), 0);
    const command = read(`/proc/${name}/cmdline`);
    return [{ pid: Number(name), parent: Number(fields[1]), ms: (1000 * ticks) / TICKS, command }];
  });
}

/** Other programs may take this share of the processors before times are no longer held against their bars. */
const QUIET = 0.05;
/** How often it is looked, ms: what a process that ends did since the last look is not seen. */
const LOOK_EVERY = 400;

/** How the processors were used since some moment. */
export interface Use {
  /** Shares of the processors that were busy, and that other programs took, 0–1. */
  shares(): { busy: number; others: number };
  /** Whether the machine did hardly anything else. */
  isQuiet(): boolean;
  told(): string;
}

/** Watches what this process, all it started and the database whose data lie in `folder` use of the processors. */
export class Processors {
  private seen = new Map<number, number>();
  private own = 0;

  constructor(private readonly folder: string) {
    this.look();
    setInterval(() => this.look(), LOOK_EVERY).unref();
  }

  private look(): void {
    const all = processes();
    const own = new Set(
      all.filter(({ pid, command }) => pid === process.pid || command.includes(this.folder)).map(({ pid }) => pid),
    );
    let before = -1;
    while (own.size > before) {
      before = own.size;
      for (const { pid, parent } of all) if (own.has(parent)) own.add(pid);
    }
    const now = new Map(all.flatMap(({ pid, ms }) => (own.has(pid) ? [[pid, ms] as const] : [])));
    for (const [pid, ms] of now) this.own += Math.max(0, ms - (this.seen.get(pid) ?? 0));
    this.seen = now;
  }

  /** The use of the processors from now on. */
  since(): Use {
    this.look();
    const [from, ownThen] = [processorTime(), this.own];
    const shares = () => {
      this.look();
      const { busy, all } = processorTime();
      const span = Math.max(1, all - from.all);
      const share = (busy - from.busy) / span;
      return { busy: share, others: Math.max(0, share - (this.own - ownThen) / span) };
    };
    const percent = (share: number) => `${Math.round(100 * share)} %`;
    return {
      shares,
      isQuiet: () => shares().others <= QUIET,
      told: () => {
        const { busy, others } = shares();
        const load = loadavg()[0]?.toFixed(1) ?? '?';
        return `processors ${percent(busy)} busy, ${percent(others)} with other programs, load ${load}`;
      },
    };
  }
}
