type Three = readonly [number, number, number];

/**
 * Of all values that make three sums what they have to be, those with the least sum of squares: x = Gᵀ(GGᵀ)⁻¹(G·now − over), where
 * column i of G (numbers 3i to 3i + 2 of `columns`) is what value i does to the sums, and `over` is by how much the sums of `now`
 * are too large (Lagrange). At least three columns have to be independent.
 */
export function leastThat(columns: Float64Array, now: Float64Array, over: Three): Float64Array {
  let [aa, ab, ac, bb, bc, cc] = [0, 0, 0, 0, 0, 0];
  let [ra, rb, rc] = [-over[0], -over[1], -over[2]];
  for (let i = 0; i < now.length; i++) {
    const [a, b, c] = [columns[3 * i]!, columns[3 * i + 1]!, columns[3 * i + 2]!];
    aa += a * a;
    ab += a * b;
    ac += a * c;
    bb += b * b;
    bc += b * c;
    cc += c * c;
    ra += a * now[i]!;
    rb += b * now[i]!;
    rc += c * now[i]!;
  }
  const [la, lb, lc] = solved([aa, ab, ac], [ab, bb, bc], [ac, bc, cc], [ra, rb, rc]);
  return now.map((_, i) => columns[3 * i]! * la + columns[3 * i + 1]! * lb + columns[3 * i + 2]! * lc);
}

/** Three equations with three unknowns (Cramer's rule). */
function solved(a: Three, b: Three, c: Three, [r, s, t]: Three): Three {
  const whole = determinant(a, b, c);
  return [
    determinant([r, a[1], a[2]], [s, b[1], b[2]], [t, c[1], c[2]]) / whole,
    determinant([a[0], r, a[2]], [b[0], s, b[2]], [c[0], t, c[2]]) / whole,
    determinant([a[0], a[1], r], [b[0], b[1], s], [c[0], c[1], t]) / whole,
  ];
}

const determinant = (a: Three, b: Three, c: Three): number =>
  a[0] * (b[1] * c[2] - b[2] * c[1]) -
  a[1] * (b[0] * c[2] - b[2] * c[0]) +
  a[2] * (b[0] * c[1] - b[1] * c[0]);
