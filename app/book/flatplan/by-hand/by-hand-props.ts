/** What an editor of an item is given. */
export interface ByHandProps<Item> {
  item: Item;
  /** Of its section. */
  options: Readonly<Record<string, unknown>>;
  onClose: () => void;
  /** Keeps the item as it is now. */
  onKeep: (pin: unknown) => void;
}
