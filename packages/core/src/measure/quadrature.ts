/** Gauss-Legendre nodes and weights on [−1, 1], four points: exact for polynomials up to degree 7. */
const NODES: readonly (readonly [number, number])[] = [
  [-0.8611363115940526, 0.3478548451374538],
  [-0.3399810435848563, 0.6521451548625461],
  [0.3399810435848563, 0.6521451548625461],
  [0.8611363115940526, 0.3478548451374538],
];

/** The integral of `f` from a to b by four-point Gauss-Legendre. */
export function integrate(f: (x: number) => number, a: number, b: number): number {
  const [middle, half] = [(a + b) / 2, (b - a) / 2];
  let sum = 0;
  for (const [x, weight] of NODES) sum += weight * f(middle + x * half);
  return sum * half;
}

/** Halvings at most: a kink is then closed in on to a few hundredths of a millimetre on the stretches that are asked for. */
const DEEPEST = 8;

/**
 * The integral of a function that may have kinks: a stretch is halved until both halves together agree with the whole
 * to within `enough`, in the integral's own unit.
 */
export function integrateKinked(f: (x: number) => number, a: number, b: number, enough: number): number {
  const halved = (from: number, to: number, whole: number, deep: number): number => {
    const middle = (from + to) / 2;
    const [low, high] = [integrate(f, from, middle), integrate(f, middle, to)];
    if (deep >= DEEPEST || Math.abs(low + high - whole) <= enough) return low + high;
    return halved(from, middle, low, deep + 1) + halved(middle, to, high, deep + 1);
  };
  return halved(a, b, integrate(f, a, b), 0);
}
