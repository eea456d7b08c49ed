/** How many requests a server works on. */
export interface Bounds {
  /** Most being worked on at once. */
  working: number;
  /** Most that are open at all: being worked on, or waiting for a slow client, the database or another thread. */
  open: number;
  /** A request that takes longer than this waits for something else and no longer counts as being worked on, ms. */
  workingMs: number;
}

/**
 * Lets in as many requests as the server can answer quickly. The others are refused at once, so that those let in stay fast.
 */
export class Admission {
  private working = 0;
  private open = 0;

  constructor(private readonly bounds: Bounds) {}

  /** Lets a request in: returns what to call when it is done. Null when there is no room. */
  enter(): (() => void) | null {
    const { working, open, workingMs } = this.bounds;
    if (this.working >= working || this.open >= open) return null;
    this.working++;
    this.open++;
    let isWorking = true;
    const rest = () => {
      if (isWorking) this.working--;
      isWorking = false;
    };
    const timer = setTimeout(rest, workingMs);
    let isOpen = true;
    return () => {
      if (!isOpen) return;
      isOpen = false;
      clearTimeout(timer);
      rest();
      this.open--;
    };
  }
}
