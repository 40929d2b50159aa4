import type { ComponentProps } from 'react';

type Kind = 'plain' | 'main' | 'bar';

const KINDS: Record<Kind, string> = {
  plain: 'border border-line bg-raised text-ink hover:border-quiet',
  main: 'border border-teal bg-teal text-on-teal hover:brightness-110',
  bar: 'border border-[#5b6a6c] text-on-bar hover:border-on-bar',
};

export function Button({
  kind = 'plain',
  className = '',
  ...rest
}: ComponentProps<'button'> & { kind?: Kind }) {
  return (
    <button
      type="button"
      {...rest}
      className={`inline-flex h-8 items-center justify-center gap-1.5 rounded px-3 whitespace-nowrap disabled:opacity-50 ${KINDS[kind]} ${className}`}
    />
  );
}
