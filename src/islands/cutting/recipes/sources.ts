import { textOf } from '../../../core/formats/bytes';
import { FaultyInput } from '../../../core/formats/faults';
import type { Source } from './useRecipes';

const MOST_BYTES = 2 * 1024 * 1024;
const MOST_FILES = 500;

/** The texts of files, and why some are none. */
export async function sourcesOf(files: readonly File[]): Promise<{ sources: Source[]; faults: string[] }> {
  const sources: Source[] = [];
  const faults: string[] = [];
  if (files.length > MOST_FILES) return { sources, faults: [`More than ${MOST_FILES} files: take them in parts.`] };
  for (const file of files) {
    if (file.size > MOST_BYTES) faults.push(`${file.name} is larger than 2 MB; a recipe is smaller than that`);
    else
      try {
        sources.push({
          name: file.name.replace(/\.[^.]*$/, ''),
          text: textOf(new Uint8Array(await file.arrayBuffer())),
        });
      } catch (error) {
        if (!(error instanceof FaultyInput)) throw error;
        faults.push(`${file.name} ${error.faults[0]?.message ?? 'could not be read'}`);
      }
  }
  return { sources, faults };
}
