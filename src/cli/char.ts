import { charDose, judgeYield, lastingCarbon } from '../core/yard/index.ts';
import { BURN_METHODS, type BurnMethod, CHAR_TEMPERATURES } from '../records/vocabulary.ts';
import { requireNumber, requireOneOf } from '../refusals/input-error.ts';
import { numberOption, UsageError, type Arguments } from './arguments.ts';
import { csvText, jsonText, rowsOf } from './output.ts';

function judged(method: string | undefined, woodKg: number | undefined, charKg: number | undefined): object {
  if (method === undefined) return {};
  if (woodKg === undefined || charKg === undefined) {
    throw new UsageError('Judging a burn takes --wood and --char, both in kilograms dry.');
  }
  requireOneOf<BurnMethod>(method, ['--method'], BURN_METHODS);
  return { burn: judgeYield(method as BurnMethod, woodKg, charKg) };
}

/** What a burn gave, what of its char lasts, and how much char a bed takes. */
export function char(args: Arguments): string {
  const { options } = args;
  const charKg = numberOption('char', options.char);
  const areaM2 = numberOption('area', options.area);
  const clayPct = numberOption('clay', options.clay) ?? 20;
  if (charKg === undefined && areaM2 === undefined) {
    throw new UsageError(
      'Say how much char there is with --char (kilograms dry), or how large a bed is with --area (m2).',
    );
  }
  requireNumber(clayPct, ['--clay'], { min: 0, max: 100 });
  const carbonShare = requireNumber(numberOption('carbon', options.carbon), ['--carbon'], {
    above: 0,
    max: 1,
  });
  const temperature = requireOneOf(options.temperature, ['--temperature'], CHAR_TEMPERATURES);
  const result = {
    ...judged(options.method, numberOption('wood', options.wood), charKg),
    ...(charKg === undefined ? {} : { lasting: lastingCarbon(charKg * carbonShare, temperature) }),
    ...(areaM2 === undefined ? {} : { dose: charDose({ areaM2, clayPct }) }),
  };
  return options.csv ? csvText(rowsOf([result])) : jsonText(result);
}
