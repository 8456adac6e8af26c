/** What a trial of an item is given. It begins anew by a new key. */
export interface TrialProps<Item> {
  item: Item;
  onSolved: () => void;
}
