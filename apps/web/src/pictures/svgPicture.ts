/** What of a drawing's look comes from style sheets and has to go along with it. */
const STYLES = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-dasharray',
  'stroke-linejoin',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'paint-order',
  'opacity',
] as const;

/** A drawing as it looks on the page, by itself: styles are written into its elements. */
export function standalone(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [from, to] = [svg.querySelectorAll('*'), copy.querySelectorAll('*')];
  from.forEach((element, i) => {
    const look = getComputedStyle(element);
    const target = to[i] as SVGElement;
    for (const name of STYLES) {
      const value = look.getPropertyValue(name);
      if (value) target.style.setProperty(name, value);
    }
    target.removeAttribute('class');
  });
  for (const handle of copy.querySelectorAll('[role=slider]')) handle.remove();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  const { width, height } = svg.getBoundingClientRect();
  copy.setAttribute('viewBox', `0 0 ${width} ${height}`);
  return new XMLSerializer().serializeToString(copy);
}

/** Draws a page's drawing on a canvas, fitted into its width and height. */
export async function drawSvg(svg: SVGSVGElement, canvas: HTMLCanvasElement): Promise<void> {
  const image = new Image();
  image.width = canvas.width;
  image.height = canvas.height;
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(standalone(svg))}`;
  await image.decode();
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
}
