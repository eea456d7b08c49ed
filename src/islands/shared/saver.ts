import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { Saved } from '../../workers/session';

export type SaveState = 'saved' | 'saving' | 'unsaved' | 'stale' | 'refused';

interface Stored {
  version: number;
  kitchen: KitchenFile;
}

/** What is not saved yet, as the device keeps it: `sent` is the earlier kitchen that was being saved just then. */
export interface Unsaved {
  version: number;
  kitchen: KitchenFile;
  sent: KitchenFile | null;
  /** Whether the server was away or refused: then it is asked about, should someone else have written meanwhile. */
  cutOff: boolean;
}

export interface Doors {
  /** Saves over a version; `left` is the note of the page before. */
  save: (version: number, kitchen: KitchenFile, left: string) => Promise<Saved>;
  fetch: () => Promise<Stored>;
  /** Keeps what is unsaved on the device, or drops it. */
  note: (unsaved: Unsaved | null) => void;
  /** Tells other windows of a new version. */
  announce: (version: number) => void;
  tell: (state: SaveState, why: string) => void;
  /** Another window's kitchen takes the place of this one. */
  took: (kitchen: KitchenFile) => void;
  later: (work: () => void, ms: number) => () => void;
}

const SAVE_AFTER_MS = 350;
const TRY_AGAIN_MS = 4_000;

/** Saves a kitchen as it is edited: one save at a time, each naming the version it was made on, until the server has the latest. */
export class Saver {
  private latest: KitchenFile;
  private saved: KitchenFile;
  private version: number;
  private sending: KitchenFile | null = null;
  /** What was sent before and may have been stored without an answer. */
  private unclear: KitchenFile | null = null;
  private state: SaveState = 'saved';
  private cancel: () => void = () => undefined;

  constructor(
    stored: Stored,
    private readonly doors: Doors,
    /** What the page before this one left unsaved, as text. */
    private left = '',
  ) {
    this.latest = this.saved = stored.kitchen;
    this.version = stored.version;
  }

  private tell(state: SaveState, why = ''): void {
    this.state = state;
    this.doors.tell(state, why);
  }

  private get unsaved(): Unsaved | null {
    if (this.saved === this.latest) return null;
    const cutOff = this.state !== 'saving' && this.state !== 'saved';
    return { version: this.version, kitchen: this.latest, sent: this.sending, cutOff };
  }

  /** Whether leaving now would leave something behind that only this device knows. */
  get asksBeforeLeaving(): boolean {
    return this.unsaved?.cutOff ?? false;
  }

  /** An edit: it is saved a moment later. */
  edit(kitchen: KitchenFile): void {
    this.latest = kitchen;
    if (this.state === 'stale') {
      this.doors.note(this.unsaved);
      return;
    }
    if (this.state === 'saved') this.tell('saving');
    else this.doors.note(this.unsaved);
    this.again(SAVE_AFTER_MS);
  }

  private again(ms: number): void {
    this.cancel();
    this.cancel = this.doors.later(() => void this.save(), ms);
  }

  /** Saves what is not saved yet, now. */
  async save(): Promise<void> {
    if (this.sending) return;
    if (this.saved === this.latest) {
      this.doors.note(null);
      this.tell('saved');
      return;
    }
    const sent = this.latest;
    this.sending = sent;
    this.doors.note(this.unsaved);
    const outcome = await this.doors.save(this.version, sent, this.left);
    this.sending = null;
    if ('version' in outcome) {
      this.version = outcome.version;
      this.saved = sent;
      this.left = '';
      this.unclear = null;
      this.doors.announce(outcome.version);
      if (this.latest === sent) {
        this.doors.note(null);
        this.tell('saved');
      } else this.again(0);
      return;
    }
    const { refused, why } = outcome;
    const comesBack = refused === 0 || refused === 429 || refused >= 500;
    // without a clear answer the server may have stored it all the same: it is not somebody else's then
    if (comesBack && refused !== 429) {
      this.left = JSON.stringify({ version: this.version, kitchen: sent, sent: this.unclear, cutOff: true });
      this.unclear = sent;
    }
    this.tell(refused === 409 ? 'stale' : comesBack ? 'unsaved' : 'refused', why);
    this.doors.note(this.unsaved);
    if (comesBack) this.again(TRY_AGAIN_MS);
  }

  /** What a page takes up that the one before left: edits to go on saving, or, where someone else has written meanwhile, to ask about. */
  takeUp(kitchen: KitchenFile, conflict: boolean): void {
    this.latest = kitchen;
    if (conflict) {
      this.tell('stale');
      this.doors.note(this.unsaved);
    } else void this.save();
  }

  /** Another window has saved, or the server has a newer version: it is taken over, or asked about where there are edits of one's own. */
  async heard(version: number): Promise<void> {
    if (version <= this.version || this.sending || this.state === 'stale') return;
    if (this.saved !== this.latest) {
      this.cancel();
      this.tell('stale');
      this.doors.note(this.unsaved);
      return;
    }
    const theirs = await this.doors.fetch();
    if (this.saved !== this.latest || this.sending) return;
    this.adopt(theirs);
  }

  private adopt(theirs: Stored): void {
    this.version = theirs.version;
    this.latest = this.saved = theirs.kitchen;
    this.doors.note(null);
    this.doors.took(theirs.kitchen);
    this.tell('saved');
  }

  /** After a conflict: go on with what the other window wrote, or write ours over it. */
  async settle(keep: 'theirs' | 'mine'): Promise<void> {
    const theirs = await this.doors.fetch();
    if (keep === 'theirs') {
      this.adopt(theirs);
      return;
    }
    this.version = theirs.version;
    this.tell('saving');
    await this.save();
  }

  /** Leaving the page: what is still unsaved, noted on the device, and whether it can be sent on the way. */
  leave(): { version: number; kitchen: KitchenFile } | null {
    const { unsaved } = this;
    this.doors.note(unsaved);
    if (!unsaved || unsaved.cutOff || unsaved.sent === unsaved.kitchen) return null;
    return { version: unsaved.version + (unsaved.sent ? 1 : 0), kitchen: unsaved.kitchen };
  }
}
