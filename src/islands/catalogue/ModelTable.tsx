import { Button } from '@mantine/core';
import type { BladeModel } from '../../core/blade/schema';
import { assumedFigures } from '../../core/formats/figures';
import { fromMinor } from '../../core/money/currency';
import { useLengths } from '../shared/units';
import { money, typeName } from '../shared/words';
import css from './CatalogueView.module.css';

/** Models in rows: kind, edge, price, what there is to say of each, and what of it nobody told. */
export function ModelTable({
  models,
  note,
  onRemove,
}: {
  models: BladeModel[];
  note: (model: BladeModel) => string;
  onRemove?: (id: string) => void;
}) {
  const { length } = useLengths();
  return (
    <div className={css.scroll}>
      <table>
        <tbody>
          {models.map((model) => (
            <tr key={model.id}>
              <th scope="row">{model.name}</th>
              <td>{typeName(model.type)}</td>
              <td className="figure">{length(model.lengthMm)}</td>
              <td className="figure">{money(fromMinor(model.priceMinor, model.currency), model.currency)}</td>
              <td className="faded">
                {note(model)}
                {assumedFigures(model).length > 0 && (
                  <small>taken from its kind: {assumedFigures(model).join(', ')}</small>
                )}
              </td>
              {onRemove && (
                <td>
                  <Button
                    size="compact-xs"
                    variant="default"
                    aria-label={`Remove ${model.name}`}
                    onClick={() => onRemove(model.id)}
                  >
                    Remove
                  </Button>
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
