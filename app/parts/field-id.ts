import { useEffect } from 'react';
import { useLocation } from 'react-router';

/** The id in the page of a field that something may lead to. */
export const fieldId = (field: string): string => `field-${field}`;

/** Puts the focus into the field that an address names behind its #. */
export function useNamedField(): void {
  const { hash, key } = useLocation();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the same field may be asked for again
  useEffect(() => {
    if (hash.startsWith('#field-')) document.getElementById(hash.slice(1))?.focus();
  }, [hash, key]);
}
