import type { UnitSystem } from '../measure/format.js';
import { type Passport, passportRows } from '../record/passport.js';

/** The outside laid flat as a picture, and what it goes round: radii of its rows from the top, and the height, mm. */
export interface Turning {
  /** `data:image/png;base64,…` */
  readonly picture: string;
  readonly radiiMm: readonly number[];
  readonly heightMm: number;
  /** A photograph of it as `data:` address, and what is on it; null for none. */
  readonly photo: { readonly picture: string; readonly says: string } | null;
}

const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/**
 * The passport as one page that opens anywhere, without a network: the piece turns by itself, by dragging and by arrow keys, and stands
 * still where motion is not wanted. Everything is in the file.
 */
export function passportPage(
  passport: Passport,
  units: UnitSystem,
  { picture, radiiMm, heightMm, photo }: Turning,
): string {
  const rows = passportRows(passport, units)
    .map(([label, value]) => `<tr><th scope="row">${escaped(label)}</th><td>${escaped(value)}</td></tr>`)
    .join('');
  const radii = JSON.stringify(radiiMm.map((radius) => Math.round(radius * 100) / 100));
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(passport.name)}</title>
<style>
body{margin:0;background:#e9ecea;color:#1d2527;font:16px/1.5 system-ui,sans-serif}
main{max-width:60rem;margin:0 auto;padding:1.5rem;display:grid;gap:1.5rem;grid-template-columns:minmax(0,1fr) minmax(0,1.1fr)}
@media (max-width:40rem){main{grid-template-columns:minmax(0,1fr)}}
h1{grid-column:1/-1;margin:0}
canvas{width:100%;touch-action:pan-y;cursor:grab}
canvas:focus-visible{outline:3px solid #0f6466}
figure{grid-column:1/-1;margin:0}
figure img{max-width:100%;max-height:80vh;border-radius:4px}
figcaption{color:#56625f}
table{border-collapse:collapse;width:100%}
th,td{text-align:left;vertical-align:top;padding:.3rem .5rem .3rem 0;border-top:1px solid #c3cac8}
th{font-weight:400;color:#56625f;white-space:nowrap}
@media print{canvas{max-height:9cm;width:auto}}
</style>
</head>
<body>
<main>
<h1>${escaped(passport.name)}</h1>
<canvas width="640" height="640" tabindex="0" role="img" aria-label="${escaped(passport.name)}, seen from the side; drag or arrow keys turn it"></canvas>
<table><tbody>${rows}</tbody></table>
${
  photo
    ? `<figure><img src="${photo.picture}" alt="${escaped(photo.says || passport.name)}"><figcaption>${escaped(photo.says)}</figcaption></figure>
`
    : ''
}</main>
<script>
${script(radii, heightMm)}
load(${JSON.stringify(picture)});
</script>
</body>
</html>
`;
}

/** Draws the piece from the side: every point of a row lies where its direction from the axis has it, darker toward the edges. */
const script = (radii: string, heightMm: number): string => `
const radii = ${radii}, high = ${heightMm};
const canvas = document.querySelector('canvas'), context = canvas.getContext('2d');
const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
let wall, turn = 0.35, dragged = null, rests = still;
function load(source) {
  const image = new Image();
  image.onload = () => {
    const flat = document.createElement('canvas');
    flat.width = image.width; flat.height = image.height;
    const own = flat.getContext('2d');
    own.drawImage(image, 0, 0);
    wall = own.getImageData(0, 0, image.width, image.height);
    draw(); requestAnimationFrame(tick);
  };
  image.src = source;
}
function draw() {
  if (!wall) return;
  const size = canvas.width, widest = 2 * Math.max(...radii);
  const scale = 0.94 * size / Math.max(high, widest);
  const top = (size - high * scale) / 2;
  const out = context.createImageData(size, size);
  for (let y = 0; y < size; y++) {
    const row = Math.floor((y - top) / (high * scale) * wall.height);
    if (row < 0 || row >= wall.height) continue;
    const radius = radii[row] * scale;
    for (let x = Math.ceil(size / 2 - radius); x < size / 2 + radius; x++) {
      const across = (x + 0.5 - size / 2) / radius;
      if (Math.abs(across) >= 1) continue;
      const turns = (turn + Math.asin(across)) / (2 * Math.PI);
      const column = Math.floor((turns - Math.floor(turns)) * wall.width);
      const from = 4 * (row * wall.width + column), to = 4 * (y * size + x);
      const lit = 0.58 + 0.42 * Math.sqrt(Math.max(0, 1 - ((across + 0.35) / 1.35) ** 2));
      for (let c = 0; c < 3; c++) out.data[to + c] = wall.data[from + c] * lit;
      out.data[to + 3] = wall.data[from + 3];
    }
  }
  context.putImageData(out, 0, 0);
  canvas.dataset.turn = turn.toFixed(3);
}
function tick() {
  if (!rests) { turn += 0.006; draw(); }
  requestAnimationFrame(tick);
}
canvas.onpointerdown = (event) => { rests = true; dragged = event.clientX; canvas.setPointerCapture(event.pointerId); };
canvas.onpointermove = (event) => {
  if (dragged === null) return;
  turn -= (event.clientX - dragged) / canvas.clientWidth * Math.PI; dragged = event.clientX; draw();
};
canvas.onpointerup = canvas.onpointercancel = () => { dragged = null; };
canvas.onkeydown = ({ key }) => {
  if (key !== 'ArrowLeft' && key !== 'ArrowRight') return;
  rests = true; turn += key === 'ArrowLeft' ? 0.2 : -0.2; draw();
};
`;
