// Reads a workspace file that arrives in parts: one kitchen, snapshot or list after the other, each by its schema.
import type { BladeModel } from '../core/blade/schema';
import { MAX_MODELS } from '../core/formats/catalogueFile';
import { Faults, FaultyInput, pathName } from '../core/formats/faults';
import { moment } from '../core/formats/fields';
import { NotJson, parseJson } from '../core/formats/json';
import { JsonCutter, type Cut } from '../core/formats/jsonCutter';
import { MAX_FILE_BYTES } from '../core/formats/kitchenFile';
import { MAX_KITCHENS, MAX_SNAPSHOTS } from '../core/formats/workspaceFile';
import type { Body, BodyName, OwnNames } from './bodies';
import { readApart } from './reading';
import type { Correction } from './corrections';

/** Longest value cut from a file, characters: a kitchen as the database writes it, with a space behind each comma. */
const LONGEST_VALUE = 2 * MAX_FILE_BYTES;
/** Longest list of models, characters. */
const LONGEST_MODELS = 16 * 1024 * 1024;

/** A kitchen, or what is kept beside it, as it was read. */
export interface KitchenPart {
  /** Position of the kitchen in the file. */
  position: number;
  /** 0 for the kitchen itself, from 1 on for what is kept beside it. */
  beside: number;
  kind: 'kitchen' | 'snapshot' | 'scenario';
  name: string;
  at?: string | undefined;
  /** The kitchen file, as JSON. */
  text: string;
}

type Path = Cut['path'];

/** The containers that are entered: the file, its lists, each kitchen, and the list of what is kept beside it. */
const opens = ([head, , key]: readonly (string | number)[], depth: number): boolean =>
  depth === 0 ||
  (head === 'models' && depth === 1) ||
  (head === 'kitchens' && (depth <= 2 || (depth === 3 && key === 'kept')));

const fatal = (path: string, message: string) => new FaultyInput([{ path, message }]);
const NO_KEY = 'is not a key of this format; remove it or correct its spelling';

/** What a head of the file must say. */
const HEADS = new Map([
  ['format', { text: '"scabbard.workspace"', why: 'is not "scabbard.workspace"' }],
  ['version', { text: '1', why: 'is not 1, the version this release reads' }],
]);
const LISTS = ['models', 'kitchens'];

export class WorkspaceReader {
  private readonly cutter = new JsonCutter((path) => opens(path, path.length), LONGEST_VALUE);
  private readonly decoder = new TextDecoder('utf-8', { fatal: true });
  private readonly faults = new Faults();
  private readonly keys = new Set<string>();
  private readonly kitchens = { opened: -1, whole: -1 };
  private readonly modelTexts: string[] = [];
  private modelCharacters = 0;
  private names: OwnNames | null = null;
  models: BladeModel[] = [];
  corrections: Correction[] = [];
  /** When the kitchens were last changed, by their position. */
  readonly changed = new Map<number, Date>();
  /** Whether kitchens came before the models they may name: those ids are not checked yet. */
  isUnchecked = false;

  /** `own`: the models that stand in the workspace already. `take` is given each part once it is read. */
  constructor(
    readonly own: OwnNames,
    private readonly take: (part: KitchenPart) => Promise<void>,
  ) {}

  /** Whether nothing wrong was found so far. */
  get isRight(): boolean {
    return this.faults.isEmpty;
  }

  /** Reads the next bytes. Throws FaultyInput where reading on tells nobody anything. */
  async feed(bytes: Uint8Array): Promise<void> {
    await this.takeCuts(this.cutter.feed(this.decoded(bytes)));
  }

  private async takeCuts(cuts: Iterable<Cut>): Promise<void> {
    for (const cut of cuts) {
      if ('opened' in cut) this.enter(cut.path, cut.opened);
      else await this.value(cut.path, cut.text);
      if (this.faults.isFull) this.faults.throwAny();
    }
  }

  /** The file has ended. Throws FaultyInput with everything that is wrong. */
  async end(): Promise<void> {
    await this.takeCuts(this.cutter.end());
    for (const key of [...HEADS.keys(), ...LISTS]) if (!this.keys.has(key)) this.faults.add(key, () => 'is missing');
    this.checkWhole();
    await this.knownNames();
    this.faults.throwAny();
  }

  /** Reads a kitchen whose models were not known when it came. Throws FaultyInput. */
  async check({ position, beside, text }: Pick<KitchenPart, 'position' | 'beside' | 'text'>): Promise<void> {
    await this.read(
      'importedKitchen',
      ['kitchens', position, ...(beside === 0 ? ['kitchen'] : ['kept', beside - 1, 'kitchen'])],
      text,
    );
    this.faults.throwAny();
  }

  private decoded(bytes: Uint8Array): string {
    try {
      return this.decoder.decode(bytes, { stream: true });
    } catch {
      throw new NotJson([{ path: 'file', message: 'is not text in UTF-8' }]);
    }
  }

  private enter(path: Path, opened: 'object' | 'list'): void {
    const [head, i] = path;
    const expected = path.length === 0 || (path.length === 2 && head === 'kitchens') ? 'object' : 'list';
    if (opened !== expected)
      throw fatal(pathName(path), expected === 'list' ? 'is not a list' : 'is not an object in braces');
    if (path.length === 1) this.once(String(head));
    if (path.length === 2 && typeof i === 'number') {
      this.checkWhole();
      this.kitchens.opened = i;
      if (i >= MAX_KITCHENS) throw fatal('kitchens', `has more than ${MAX_KITCHENS} entries, the most that fit`);
    }
  }

  /** The kitchen opened last must have had its file. */
  private checkWhole(): void {
    const { opened, whole } = this.kitchens;
    if (opened !== whole) this.faults.add(`kitchens[${opened}].kitchen`, () => 'is missing');
    this.kitchens.whole = opened;
  }

  private once(key: string): void {
    if (this.keys.has(key)) throw fatal(key, 'is there twice; keep one of the two');
    this.keys.add(key);
  }

  private async value(path: Path, text: string): Promise<void> {
    const [head = 'file'] = path;
    if (path.length === 0) throw fatal('file', 'is not an object in braces');
    if (path.length === 1) await this.headValue(String(head), text);
    else if (head === 'models') this.model(text);
    else await this.ofKitchen(path, text);
  }

  private async headValue(key: string, text: string): Promise<void> {
    this.once(key);
    const right = HEADS.get(key);
    if (LISTS.includes(key)) throw fatal(key, 'is not a list');
    if (key === 'corrections') this.corrections = (await this.read('importedCorrections', [key], text)) ?? [];
    else if (!right) this.faults.add(key, () => NO_KEY);
    else if (text !== right.text) throw fatal(key, `${text.slice(0, 40)} ${right.why}`);
  }

  private model(text: string): void {
    this.modelCharacters += text.length;
    this.modelTexts.push(text);
    if (this.modelTexts.length > MAX_MODELS || this.modelCharacters > LONGEST_MODELS)
      throw fatal('models', `has more than ${MAX_MODELS} entries, the most that fit`);
  }

  private async ofKitchen(path: Path, text: string): Promise<void> {
    const [, i, key, j] = path;
    if (typeof i !== 'number' || path.length === 2) throw fatal(pathName(path), 'is not an object in braces');
    if (key === 'kitchen') await this.kitchen(i, path, text);
    else if (key === 'kept' && typeof j === 'number') await this.kept(i, j, path, text);
    else if (key === 'changedAt') this.changedAt(i, path, text);
    else this.faults.add(pathName(path), () => (key === 'kept' ? 'is not a list' : NO_KEY));
  }

  private async kitchen(position: number, path: Path, text: string): Promise<void> {
    this.kitchens.whole = position;
    const file = await this.read(this.nowOrLater('importedKitchen', 'importedKitchenShape'), path, text);
    if (file) await this.take({ position, beside: 0, kind: 'kitchen', name: file.name ?? 'My kitchen', text });
  }

  private async kept(position: number, j: number, path: Path, text: string): Promise<void> {
    if (j >= MAX_SNAPSHOTS)
      throw fatal(pathName(path), `is one too many; a kitchen keeps ${MAX_SNAPSHOTS} snapshots and scenarios`);
    const read = await this.read(this.nowOrLater('importedKept', 'importedKeptShape'), path, text);
    if (!read) return;
    const { kind, name, at, kitchen } = read;
    await this.take({ position, beside: j + 1, kind, name, at, text: JSON.stringify(kitchen) });
  }

  private changedAt(position: number, path: Path, text: string): void {
    const read = moment.safeParse(parsed(text));
    if (read.success) this.changed.set(position, new Date(read.data));
    else this.faults.add(pathName(path), () => `${text.slice(0, 40)} is not a time such as 2026-03-31T12:00:00Z`);
  }

  private nowOrLater<A extends BodyName, B extends BodyName>(now: A, later: B): A | B {
    if (this.keys.has('models')) return now;
    this.isUnchecked = true;
    return later;
  }

  /** Ids and makers of the workspace’s models and of those in the file. */
  private async knownNames(): Promise<OwnNames> {
    if (this.names) return this.names;
    this.names = this.own;
    this.models = (await this.read('importedModels', ['models'], `[${this.modelTexts.join(',')}]`)) ?? [];
    this.modelTexts.length = 0;
    return (this.names = [...this.own, ...this.models]);
  }

  /** Reads a part by its schema; null, and its faults noted, where it is wrong. */
  private async read<N extends BodyName>(which: N, path: Path, text: string): Promise<Body<N> | null> {
    const names = which === 'importedKitchen' || which === 'importedKept' ? await this.knownNames() : [];
    try {
      return await readApart(which, text, names);
    } catch (error) {
      if (!(error instanceof FaultyInput)) throw error;
      for (const fault of error.faults) this.faults.add(joined(pathName(path), fault.path), () => fault.message);
      return null;
    }
  }
}

/** The path of something inside a part that stands at `outer`. */
function joined(outer: string, inner: string): string {
  if (inner === 'file') return outer;
  const inside = outer === 'models' ? inner.replace(/^models(?=\[)/, '') : inner;
  return inside.startsWith('[') ? `${outer}${inside}` : `${outer}.${inside}`;
}

/** A short value that was cut out, parsed; undefined where it is no JSON. */
function parsed(text: string): unknown {
  try {
    return parseJson(text, 10);
  } catch {
    return undefined;
  }
}
