import type { DiaryEntry } from '../formats/diaryFile';
import { BOUNDS, MOST, PHOTO } from '../formats/kitchenBounds';
import type { AwayFile, KitchenFile, OwnedFile, ProfileFile } from '../formats/kitchenFile';
import type { BenchTrialFile, HandTestFile, TrialsFile } from '../formats/trialsFile';

/** What was held, tried, measured and done, written into the kitchen file. Pure: each returns a new file; dates come from outside (YYYY-MM-DD). */

const tried = (file: KitchenFile, change: (trials: TrialsFile) => TrialsFile): KitchenFile => {
  const trials = change(file.trials ?? {});
  return { ...file, trials: Object.values(trials).every((each) => each === undefined) ? undefined : trials };
};

/** `list` with the entry at `at` put in its place, or added at the end; without it where it is null. The newest are kept where there are too many. */
function put<T>(list: readonly T[] | undefined, at: number, entry: T | null, most: number): T[] | undefined {
  const next = entry === null ? [] : [entry];
  const changed = [...(list ?? []).slice(0, at), ...next, ...(list ?? []).slice(at + 1)].slice(-most);
  return changed.length > 0 ? changed : undefined;
}

/** A hand test is written down, changed, or (null) taken out. */
export const handTested = (file: KitchenFile, at: number, test: HandTestFile | null): KitchenFile =>
  tried(file, (trials) => ({ ...trials, hand: put(trials.hand, at, test, MOST.handTests) }));

/** A trial on food is written down, changed, or (null) taken out. */
export const benchTried = (file: KitchenFile, at: number, trial: BenchTrialFile | null): KitchenFile =>
  tried(file, (trials) => {
    const within = trial && { ...trial, runs: trial.runs.slice(-MOST.runs) };
    return { ...trials, bench: put(trials.bench, at, within, MOST.benchTrials) };
  });

/** Whether measured scores count over computed ones. */
export const measuredCounting = (file: KitchenFile, counts: boolean): KitchenFile =>
  tried(file, (trials) => ({ ...trials, measuredCounts: counts ? undefined : false }));

/** Figures of an owned knife that its cook measured; undefined takes one back to the usual build. */
export const measuredOwned = (file: KitchenFile, owned: number, figures: Partial<OwnedFile>): KitchenFile => ({
  ...file,
  owned: file.owned?.map((knife, i) => (i === owned ? { ...knife, ...figures } : knife)),
});

/** What a photo measures, drawn into the bounds of the format; rounded to what a photo can tell. */
function within([least, most]: readonly [number, number], value: number) {
  return Math.round(1000 * Math.min(most, Math.max(least, value))) / 1000;
}

/** An edge traced on a day joins the others of its knife, the latest kept; its figures are taken over. */
export function profileTraced(
  file: KitchenFile,
  owned: number,
  profile: ProfileFile,
  shape: Pick<OwnedFile, 'bellyMm' | 'flatShare'>,
): KitchenFile {
  const traced = {
    ...profile,
    lengthMm: within(BOUNDS.edgeLengthMm, profile.lengthMm),
    heelHeightMm: within(BOUNDS.heelHeightMm, profile.heelHeightMm),
    edge: profile.edge
      .slice(0, PHOTO.edgePoints)
      .map(({ x, y }) => ({ x: within(PHOTO.edgeX, x), y: within(PHOTO.edgeY, y) })),
  };
  const { bellyMm, flatShare } = shape;
  return measuredOwned(file, owned, {
    lengthMm: traced.lengthMm,
    heelHeightMm: traced.heelHeightMm,
    bellyMm: bellyMm === undefined ? undefined : within(PHOTO.bellyMm, bellyMm),
    flatShare: flatShare === undefined ? undefined : within(PHOTO.flatShare, flatShare),
    profiles: [...(file.owned?.[owned]?.profiles ?? []), traced].slice(-MOST.profiles),
  });
}

/** What a diary entry makes of the knife it is about. */
function afterEntry(knife: OwnedFile, { did, on, heelHeightMm }: DiaryEntry): OwnedFile {
  if (did === 'sharpened') return { ...knife, condition: 'keen', sharpenedOn: on };
  if (did === 'chipped') return { ...knife, condition: 'chipped' };
  return did === 'measured' && heelHeightMm !== undefined ? { ...knife, heelHeightMm } : knife;
}

/** Writes an entry into the diary: the newest last; the oldest goes where it is full. The knife is what the entry makes of it. */
export const logged = (file: KitchenFile, entry: DiaryEntry): KitchenFile => ({
  ...file,
  owned: file.owned?.map((knife, i) => (i === entry.knife ? afterEntry(knife, entry) : knife)),
  diary: [...(file.diary ?? []), entry].slice(-MOST.diary),
});

/** Changes an entry of the diary, or (null) takes it out; a knife was last sharpened when the diary then says so. */
export function diaryChanged(file: KitchenFile, at: number, entry: DiaryEntry | null): KitchenFile {
  const diary = put(file.diary, at, entry, MOST.diary);
  const before = file.diary?.[at];
  if (before?.did !== 'sharpened') return { ...file, diary };
  const last = (diary ?? [])
    .filter(({ did, knife }) => did === 'sharpened' && knife === before.knife)
    .reduce<string | undefined>((latest, { on }) => (latest === undefined || on > latest ? on : latest), undefined);
  return {
    ...file,
    diary,
    owned: file.owned?.map((knife, i) =>
      i === before.knife && knife.sharpenedOn === before.on ? { ...knife, sharpenedOn: last } : knife,
    ),
  };
}

/** A roll for another kitchen is described, changed, or (null) taken out. */
export const rollPacked = (file: KitchenFile, at: number, away: AwayFile | null): KitchenFile => ({
  ...file,
  away: put(file.away, at, away, MOST.away),
});

/** A cook leaves the kitchen, and with them what they held and tried; others keep their own. */
export function cookLeft(file: KitchenFile, gone: number): KitchenFile {
  const ofOthers = <T extends { cook?: number | undefined }>(list: readonly T[] | undefined): T[] | undefined => {
    const left = list
      ?.filter(({ cook = 0 }) => cook !== gone)
      .map((each) => ((each.cook ?? 0) > gone ? { ...each, cook: (each.cook ?? 0) - 1 } : each));
    return left && left.length > 0 ? left : undefined;
  };
  const { trials, diary, cooks, away } = file;
  return {
    ...file,
    cooks: cooks?.filter((_, i) => i !== gone),
    ...(away
      ? {
          away: away.map(({ cook, ...roll }) =>
            cook === undefined || cook === gone ? roll : { ...roll, cook: cook > gone ? cook - 1 : cook },
          ),
        }
      : {}),
    ...(trials ? { trials: { ...trials, hand: ofOthers(trials.hand), bench: ofOthers(trials.bench) } } : {}),
    // a deed stays a deed whoever did it
    ...(diary
      ? {
          diary: diary.map(({ cook, ...entry }) =>
            cook === undefined || cook === gone ? entry : { ...entry, cook: cook > gone ? cook - 1 : cook },
          ),
        }
      : {}),
  };
}
