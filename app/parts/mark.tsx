import type { LucideIcon } from 'lucide-react';

/** A small sign in a line of words, as large as they are; whoever hears the page hears the words alone. */
export const Mark = ({ icon: Icon, filled = false }: { icon: LucideIcon; filled?: boolean }) => (
  <Icon
    size="1em"
    strokeWidth={2.25}
    fill={filled ? 'currentColor' : 'none'}
    aria-hidden
    style={{ verticalAlign: '-0.12em', flex: 'none' }}
  />
);
