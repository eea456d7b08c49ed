import type { BladeModel } from '../../core/blade/schema';
import type { CookFile } from '../../core/formats/kitchenFile';
import { typeName } from './words';

/** A knife by its kind and length: "Santoku, 165 mm". */
export const knifeName = ({ type, lengthMm }: Pick<BladeModel, 'type' | 'lengthMm'>) =>
  `${typeName(type)}, ${Math.round(lengthMm)} mm`;

/** A cook by name, or by place among the cooks, as plans call them. */
export const cookName = (cook: Pick<CookFile, 'name'> | undefined, index: number) => cook?.name ?? `Cook ${index + 1}`;
