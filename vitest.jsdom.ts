/**
 * Labels of a control, found among the labels of the page. Whoever looks for a field by its label asks this of every control, and
 * jsdom walks through the whole page for each label of each: half of the time of a test of a large bar.
 */
function labelsOf(this: HTMLElement): HTMLLabelElement[] {
  const labels = [...this.ownerDocument.getElementsByTagName('label')];
  return labels.filter((label) => (label.htmlFor ? label.htmlFor === this.id : label.contains(this)));
}

for (const { prototype } of [
  HTMLInputElement,
  HTMLSelectElement,
  HTMLButtonElement,
  HTMLTextAreaElement,
  HTMLOutputElement,
])
  Object.defineProperty(prototype, 'labels', { get: labelsOf });

/** What an element's style can depend on where no style sheet is: itself, and what of those around it is handed on. */
function dependsOn(element: Element): string {
  const { localName, attributes } = element;
  const own = ['hidden', 'open', 'popover', 'type', 'style'].map(
    (name) => attributes.getNamedItem(name)?.value ?? '—',
  );
  let around = '';
  for (let parent = element.parentElement; parent; parent = parent.parentElement) {
    const style = parent.getAttribute('style');
    if (style && /visibility|pointer-events/.test(style)) around += `|${style}`;
    // A hidden part of a table hands on that it is not seen.
    if (parent.hasAttribute('hidden')) around += `|${parent.localName} hidden`;
  }
  return `${localName}|${own.join('|')}${around}`;
}

/**
 * The style of an element is worked out once for all that are like it. Whoever looks for something by its role asks whether it is
 * hidden, of every element and of all around it, and jsdom goes through its own style sheet for each: a fifth of these tests' time.
 * No style sheet of the interface is there; where one is put in, it is asked for each.
 */
const workedOut = globalThis.getComputedStyle;
const styles = new Map<string, CSSStyleDeclaration>();
globalThis.getComputedStyle = (element, pseudo) => {
  if (pseudo || element.ownerDocument.styleSheets.length > 0) return workedOut(element, pseudo);
  const key = dependsOn(element);
  const known = styles.get(key) ?? workedOut(element);
  styles.set(key, known);
  return known;
};
