/** The smallest value of a function on a stretch, and where it has it. */
export interface Smallest {
  readonly value: number;
  readonly at: number;
}

/** Samples of a stretch before the smallest is closed in on. */
const SAMPLES = 6;
/** Share of the way from one sample to the next at which is looked whether the function falls from an end on. */
const BESIDE = 1e-3;
/** Closer than this share of a sample's step the place is not looked for: the value is the same to twice as many digits. */
const CLOSE = 1e-5;
/** Steps at most; of what is nearly a parabola it takes four. */
const STEPS = 30;
const GOLDEN = (3 - Math.sqrt(5)) / 2;

/**
 * The smallest value of a smooth function on [low, high]: the best of a few samples, closed in on by parabolas, and by golden
 * sections where those do not help (R. P. Brent, Algorithms for Minimization without Derivatives, 1973, chapter 5).
 */
export function smallest(f: (x: number) => number, low: number, high: number): Smallest {
  const step = (high - low) / SAMPLES;
  let value = f(low);
  let nearest = 0;
  /** The samples below and above the smallest, and the last that was taken. */
  let under = value;
  let over = value;
  let last = value;
  for (let i = 1; i <= SAMPLES; i++) {
    const sample = f(low + i * step);
    if (sample < value) {
      value = sample;
      nearest = i;
      under = last;
    } else if (i === nearest + 1) over = sample;
    last = sample;
  }
  const best = { at: low + nearest * step, value };
  if (step === 0) return best;
  const below = { at: best.at - step, value: under };
  const above = { at: best.at + step, value: over };
  if (nearest > 0 && nearest < SAMPLES) return closedIn(f, below, best, above, step * CLOSE);
  const at = nearest === 0 ? best.at + BESIDE * step : best.at - BESIDE * step;
  const beside = { at, value: f(at) };
  if (beside.value >= value) return best;
  return nearest === 0
    ? closedIn(f, best, beside, above, step * CLOSE)
    : closedIn(f, below, beside, best, step * CLOSE);
}

/** The smallest between two places, from one between them that is lower than both, to within `close`. */
function closedIn(
  f: (x: number) => number,
  below: Smallest,
  from: Smallest,
  above: Smallest,
  close: number,
): Smallest {
  let low = below.at;
  let high = above.at;
  // The lowest, the second lowest, and the one that was it before.
  let { at: x, value: fx } = from;
  let { at: w, value: fw } = below.value < above.value ? below : above;
  let { at: v, value: fv } = below.value < above.value ? above : below;
  let move = high - low;
  let before = move;
  for (let i = 0; i < STEPS; i++) {
    const middle = (low + high) / 2;
    if (Math.abs(x - middle) <= 2 * close - (high - low) / 2) break;
    const parabola = lowestOfParabola(x, w, v, fx, fw, fv);
    if (Math.abs(parabola) < Math.abs(before) / 2 && x + parabola > low && x + parabola < high) {
      before = move;
      move = parabola;
      if (x + move - low < 2 * close || high - x - move < 2 * close) move = x < middle ? close : -close;
    } else {
      before = x < middle ? high - x : low - x;
      move = GOLDEN * before;
    }
    const u = x + (Math.abs(move) >= close ? move : move > 0 ? close : -close);
    const fu = f(u);
    if (fu <= fx) {
      if (u < x) high = x;
      else low = x;
      v = w;
      fv = fw;
      w = x;
      fw = fx;
      x = u;
      fx = fu;
      continue;
    }
    if (u < x) low = u;
    else high = u;
    if (fu <= fw || w === x) {
      v = w;
      fv = fw;
      w = u;
      fw = fu;
    } else if (fu <= fv || v === x || v === w) {
      v = u;
      fv = fu;
    }
  }
  return { at: x, value: fx };
}

/** How far from x the parabola through three points has its lowest; nowhere near where they lie on a line. */
function lowestOfParabola(x: number, w: number, v: number, fx: number, fw: number, fv: number): number {
  const r = (x - w) * (fx - fv);
  const q = (x - v) * (fx - fw);
  const below = 2 * (q - r);
  return below === 0 ? Number.POSITIVE_INFINITY : ((x - w) * r - (x - v) * q) / below;
}
