/** The look that tables share. */
export const tableClass =
  'w-full border-collapse text-[13px] [&_td]:px-1 [&_td]:py-1 [&_th]:px-1 [&_th]:py-1 [&_th]:text-left whitespace-nowrap';
export const headClass = 'text-xs text-quiet [&_th]:font-normal';
