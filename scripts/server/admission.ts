/** How many requests a server works on. */
export interface Bounds {
  /** Most being worked on at once, and most of one client. */
  working: number;
  workingOfClient: number;
  /** Most that are open at all, being worked on or waiting for a slow client, the database or another thread; and most of one client. */
  open: number;
  openOfClient: number;
  /** A request that takes longer than this waits for something else and no longer counts as being worked on, ms. */
  workingMs: number;
}

/** Requests counted in all and for each client. */
class Count {
  private all = 0;
  private readonly ofClients = new Map<string, number>();

  constructor(
    private readonly most: number,
    private readonly mostOfClient: number,
  ) {}

  hasRoom(client: string): boolean {
    return this.all < this.most && (this.ofClients.get(client) ?? 0) < this.mostOfClient;
  }

  /** Counts one; returns what takes it off again, once. */
  add(client: string): () => void {
    this.all++;
    this.ofClients.set(client, (this.ofClients.get(client) ?? 0) + 1);
    let isCounted = true;
    return () => {
      if (!isCounted) return;
      isCounted = false;
      this.all--;
      const left = (this.ofClients.get(client) ?? 1) - 1;
      if (left > 0) this.ofClients.set(client, left);
      else this.ofClients.delete(client);
    };
  }
}

/**
 * Lets in as many requests as the server can answer quickly. The others are refused at once, so that those let in stay fast; one client alone never
 * takes every place.
 */
export class Admission {
  private readonly working: Count;
  private readonly open: Count;

  constructor(private readonly bounds: Bounds) {
    this.working = new Count(bounds.working, bounds.workingOfClient);
    this.open = new Count(bounds.open, bounds.openOfClient);
  }

  /** Lets a request in: returns what to call when it is done. Null when there is no room. */
  enter(client: string): (() => void) | null {
    if (!this.working.hasRoom(client) || !this.open.hasRoom(client)) return null;
    const rest = this.working.add(client);
    const close = this.open.add(client);
    const timer = setTimeout(rest, this.bounds.workingMs);
    return () => {
      clearTimeout(timer);
      rest();
      close();
    };
  }
}
