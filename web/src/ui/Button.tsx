import type { ButtonHTMLAttributes } from 'react';

type Look = 'primary' | 'plain' | 'quiet' | 'grave';

const LOOKS: Record<Look, string> = {
  primary: 'bg-blue text-onblue border-blue hover:brightness-110',
  plain: 'bg-sheet text-blue border-blue hover:bg-wash',
  quiet: 'border-transparent text-blue hover:bg-wash',
  grave: 'bg-sheet text-oxide border-oxide hover:bg-oxidewash',
};

export function Button({
  look = 'plain',
  large = false,
  className = '',
  type = 'button',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look; large?: boolean }) {
  const size = large ? 'min-h-14 px-5 text-lg' : 'min-h-9 px-3 text-sm';
  return (
    <button
      type={type}
      className={`inline-flex cursor-pointer items-center justify-center gap-2 rounded-sm border font-semibold disabled:cursor-default disabled:opacity-60 ${size} ${LOOKS[look]} ${className}`}
      {...rest}
    />
  );
}
