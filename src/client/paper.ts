import type { BladeModel } from '../core/blade/schema';
import type { StepBrief } from '../core/formats/briefFile';
import type { Care } from '../core/formats/care';
import type { Paper, PaperKind } from '../core/formats/paper';
import type { Plan } from '../core/formats/planFile';
import type { Placed, StoragePlace } from '../core/formats/storageFile';
import type { WallSheet } from '../core/formats/wallSheet';
import { Refused, refusal } from './http';

export interface PaperAsked {
  plan: Plan;
  briefs: StepBrief[];
  owned: BladeModel[];
  care: Care[];
  kinds: PaperKind[];
  paper: Paper;
  withPrices: boolean;
}

/** Asks the server for a PDF. Throws {@link Refused}. */
async function fetchPdf(url: string, asked: unknown): Promise<Blob> {
  const answer = await fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(asked),
    signal: AbortSignal.timeout(30_000),
  }).catch(() => {
    throw new Refused(0, 'The server does not answer. Check that it is running; nothing is lost on this page.');
  });
  if (!answer.ok) throw refusal(answer.status, await answer.json().catch(() => null));
  return answer.blob();
}

/** A plan's sheets as a PDF. */
export const fetchPaper = (asked: PaperAsked): Promise<Blob> => fetchPdf('/api/paper', asked);

/** Knives at true size as a PDF. */
export const fetchLifeSize = (asked: {
  title: string;
  paper: Paper;
  knives: { ref: string; name: string; blade: BladeModel }[];
}): Promise<Blob> => fetchPdf('/api/life-size', asked);

/** The places where knives live as a PDF. */
export const fetchPlaces = (asked: {
  title: string;
  paper: Paper;
  trueSize: boolean;
  places: { name: string; place: StoragePlace }[];
  knives: { ref: string; name: string; blade: BladeModel }[];
  placed: Placed[];
}): Promise<Blob> => fetchPdf('/api/places', asked);

/** A sheet for the kitchen wall as a PDF. */
export const fetchWall = (asked: { sheet: WallSheet; paper: Paper }): Promise<Blob> => fetchPdf('/api/wall', asked);
