import { frostDates, koppenClass } from '../../../core/ground/index.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import { formatQuantity } from '../../../quantities/format-quantity.ts';
import type { UnitSystem } from '../../../refusals/refusal.ts';
import { frostWords, koppenWords } from '../../../words/climate-words.ts';
import { MONTH_LETTERS, MONTH_NAMES } from '../../../words/dates.ts';
import { COLORS, LETTER_PX } from '../../theme/tokens.ts';

interface ClimatePictureProps {
  readonly climate: ClimateNormals;
  readonly system: UnitSystem;
}

const WIDTH = 348;
const HEIGHT = 150;
const FOOT = 20;
const STEP = WIDTH / 12;
const PLOT = HEIGHT - FOOT;
const HEADROOM = 16;

/** A year of a place at a glance, before it is saved: rain as bars, warmth as a line, and what follows from both in words. */
export function ClimatePicture({ climate, system }: ClimatePictureProps) {
  const { temperatureC, rainMm, evapotranspirationMm } = climate;
  const shown = (value: number, quantity: 'temperature' | 'waterDepth') =>
    formatQuantity(Number(value.toFixed(0)), quantity, system);
  const hottest = temperatureC.indexOf(Math.max(...temperatureC));
  const coldest = temperatureC.indexOf(Math.min(...temperatureC));
  const sum = (months: readonly number[]) => months.reduce((all, one) => all + one, 0);
  const words = `${koppenWords(koppenClass(climate))}. Warmest ${MONTH_NAMES[hottest]}, ${shown(temperatureC[hottest]!, 'temperature')}; coldest ${MONTH_NAMES[coldest]}, ${shown(temperatureC[coldest]!, 'temperature')}. ${shown(sum(rainMm), 'waterDepth')} of rain a year; ${shown(sum(evapotranspirationMm), 'waterDepth')} could evaporate.`;
  return (
    <figure className="climate-picture">
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={words}>
        <Rain rainMm={rainMm} />
        <Warmth temperatureC={temperatureC} system={system} />
        {MONTH_LETTERS.map((letters, i) => (
          <text key={letters} x={STEP * (i + 0.5)} y={HEIGHT - 5} className="climate-letter">
            {letters}
          </text>
        ))}
      </svg>
      <figcaption>
        {words} {frostWords(frostDates(climate))}
      </figcaption>
    </figure>
  );
}

function Rain({ rainMm }: Pick<ClimateNormals, 'rainMm'>) {
  const most = Math.max(100, ...rainMm);
  return rainMm.map((mm, i) => {
    const height = (mm / most) * (PLOT - HEADROOM);
    return (
      <rect
        key={MONTH_LETTERS[i]}
        x={STEP * i + 4}
        y={PLOT - height}
        width={STEP - 8}
        height={height}
        fill={COLORS.rain}
      />
    );
  });
}

function Warmth({ temperatureC, system }: Pick<ClimateNormals, 'temperatureC'> & { system: UnitSystem }) {
  const [low, high] = [Math.min(-5, ...temperatureC), Math.max(25, ...temperatureC)];
  const y = (celsius: number) => PLOT - ((celsius - low) / (high - low)) * (PLOT - HEADROOM);
  const x = (month: number) => STEP * (month + 0.5);
  const path = temperatureC.map((mean, i) => `${i === 0 ? 'M' : 'L'}${x(i)} ${y(mean).toFixed(1)}`).join('');
  const freezing = formatQuantity(0, 'temperature', system);
  return (
    <>
      <path d={`M0 ${y(0)}H${WIDTH}`} stroke={COLORS.softInk} strokeWidth={0.8} strokeDasharray="3 3" />
      <text x={WIDTH} y={y(0) - 4} fontSize={LETTER_PX} fill={COLORS.softInk} textAnchor="end">
        {freezing}
      </text>
      <path d={path} fill="none" stroke={COLORS.ink} strokeWidth={2} />
    </>
  );
}
