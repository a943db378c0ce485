import { DropdownMenu } from 'radix-ui';
import { Link } from 'react-router';

import type { MenuProps } from './Menu';

const ITEM = 'block w-full cursor-pointer px-3 py-2 text-left text-sm outline-none data-[highlighted]:bg-wash';

/** The menu itself, open from the start: it is fetched when somebody reaches for it. */
export default function MenuList({ button, label, className, align, head, items }: MenuProps) {
  return (
    <DropdownMenu.Root defaultOpen>
      <DropdownMenu.Trigger className={className} aria-label={label}>
        {button}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align={align} className="z-40 min-w-56 border border-rule bg-sheet py-1 shadow-lg">
          {head !== undefined && (
            <DropdownMenu.Label className="px-3 py-2 text-xs text-soft">{head}</DropdownMenu.Label>
          )}
          {items.map((item) => {
            const look = item.apart === true ? `${ITEM} border-t border-rule` : ITEM;
            return 'to' in item ? (
              <DropdownMenu.Item asChild key={item.words}>
                <Link className={look} to={item.to}>
                  {item.words}
                </Link>
              </DropdownMenu.Item>
            ) : (
              <DropdownMenu.Item className={look} key={item.words} onSelect={item.choose}>
                {item.words}
              </DropdownMenu.Item>
            );
          })}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
