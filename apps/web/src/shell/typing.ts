/** Inputs in which keys mean letters or a choice, unlike boxes to tick and sliders. */
const NOT_TYPED_IN = new Set(['checkbox', 'radio', 'range', 'button', 'file']);

/** Whether keys pressed there are for the field and not for the page. */
export const isTypedIn = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement
    ? !NOT_TYPED_IN.has(target.type)
    : target instanceof HTMLSelectElement || target instanceof HTMLTextAreaElement;
