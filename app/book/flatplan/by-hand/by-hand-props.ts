/** What an editor of an item is given. */
export interface ByHandProps<Item> {
  item: Item;
  onClose: () => void;
  /** Keeps the item as it is now. */
  onKeep: (pin: unknown) => void;
}
