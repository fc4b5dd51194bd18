import Papa from 'papaparse';
import type { Kit, Unit } from '../../kit';
import { WRITTEN_COLUMNS } from './columns';

/**
 * The kit as CSV, a line for each unit and one for each product without; read back it gives the same kit.
 * Formulas are disarmed.
 */
export function writeKitCsv(kit: Kit): string {
  const yes = (value: boolean): string => (value ? 'yes' : 'no');
  const lines = kit.products.flatMap((p) => {
    const units: (Unit | null)[] = kit.units.filter((u) => u.productId === p.id);
    return (units.length > 0 ? units : [null]).map((u) => [
      p.maker,
      p.line,
      p.shade,
      p.kind,
      ...(p.lab ?? ['', '', '']),
      p.coverage,
      p.finish,
      p.texture,
      p.family,
      // One with a comma in it is not to be read as two.
      p.ingredients.join(' | ') + (p.ingredients.length === 1 && p.ingredients[0]!.includes(',') ? ' |' : ''),
      p.measure,
      p.mgPerMeasure,
      p.tintingStrength,
      p.monthsAfterOpening,
      yes(p.eyeSafe),
      yes(p.singleUse),
      yes(p.withdrawn),
      p.flashGrade ?? '',
      p.wearHours ?? '',
      p.waterproof === undefined ? '' : yes(p.waterproof),
      p.transferProof === undefined ? '' : yes(p.transferProof),
      p.smallestShare ?? '',
      p.tool ?? '',
      u?.openedOn ?? '',
      u?.remainingMg ?? '',
      u?.place ?? '',
    ]);
  });
  return (
    Papa.unparse(
      { fields: [...WRITTEN_COLUMNS], data: lines },
      { newline: '\n', escapeFormulae: /^[=+@\t\r]/ },
    ) + '\n'
  );
}
