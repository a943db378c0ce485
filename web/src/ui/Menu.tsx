import { lazy, Suspense, useState, type ReactNode } from 'react';

export const loadMenu = () => import('./MenuList');
const MenuList = lazy(loadMenu);

export type MenuItem = { words: string; apart?: boolean } & ({ to: string } | { choose: () => void });

export type MenuProps = {
  /** What stands on the button. */
  button: ReactNode;
  /** What the button is called, where that says too little. */
  label?: string | undefined;
  className: string;
  align: 'start' | 'end';
  /** Above the items. */
  head?: string | undefined;
  items: MenuItem[];
};

/** A button that opens a menu. The menu is fetched when a pointer or the focus comes near: no first page waits for it. */
export function Menu(props: MenuProps) {
  const [wanted, setWanted] = useState(false);
  const near = () => void loadMenu();
  const button = (
    <button
      type="button"
      className={props.className}
      aria-label={props.label}
      aria-haspopup="menu"
      aria-expanded={false}
      onPointerEnter={near}
      onFocus={near}
      onClick={() => setWanted(true)}
      onKeyDown={(e) => {
        if (e.key !== 'ArrowDown') return;
        e.preventDefault();
        setWanted(true);
      }}
    >
      {props.button}
    </button>
  );
  return wanted ? (
    <Suspense fallback={button}>
      <MenuList {...props} />
    </Suspense>
  ) : (
    button
  );
}
