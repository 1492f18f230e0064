import { v4 as newId } from 'uuid';
import type { Edit } from '../../api/types';

export type Change = { edits: Edit[] } | { document: string } | { restore: number } | { undo: true } | { redo: true };

export interface Unsent {
  client_id: string;
  change: Change;
  /** Still being added to. */
  open?: boolean;
  /** How many of its edits are in what is shown already. */
  seen?: number;
  even_fixed?: boolean;
}

/** What has not been acknowledged yet, kept in this tab, for one person and one building. */
export class UnsentQueue {
  #items: Unsent[];

  constructor(private readonly storage: string) {
    this.#items = (JSON.parse(sessionStorage.getItem(storage) ?? '[]') as Unsent[]).map((item) => ({
      ...item,
      seen: 0,
    }));
  }

  first(): Unsent | undefined {
    return this.#items[0];
  }

  keep(): void {
    if (this.#items.length === 0) sessionStorage.removeItem(this.storage);
    else sessionStorage.setItem(this.storage, JSON.stringify(this.#items));
  }

  shift(): void {
    this.#items.shift();
  }

  clear(): void {
    this.#items = [];
  }

  /** The first may be on its way; later edits that still wait are put together. */
  push(change: Change): void {
    const last = this.#items[this.#items.length - 1];
    if ('edits' in change && this.#items.length > 1 && last !== undefined && 'edits' in last.change) {
      this.#replaceLast([...last.change.edits, ...change.edits]);
    } else {
      this.#items.push({ client_id: newId(), change });
    }
  }

  gather(edits: Edit[]): void {
    const last = this.#items[this.#items.length - 1];
    if (last?.open === true && 'edits' in last.change) last.change.edits = [...last.change.edits, ...edits];
    else this.#items.push({ client_id: newId(), change: { edits }, open: true, seen: 0 });
  }

  /** Ends what is being added to; true where there was something. */
  close(): boolean {
    const last = this.#items[this.#items.length - 1];
    if (last?.open !== true) return false;
    last.open = false;
    return true;
  }

  /** Takes the last one back where it has not been sent; true where it could. */
  takeBack(firstIsOnItsWay: boolean): boolean {
    if (this.#items.length <= (firstIsOnItsWay ? 1 : 0)) return false;
    this.#items.pop();
    return true;
  }

  /** Makes one change of all edits that wait; true where there were several. */
  merge(): boolean {
    const edits = this.#items.flatMap((item) => ('edits' in item.change ? item.change.edits : []));
    const isAll = this.#items.every((item) => 'edits' in item.change);
    if (this.#items.length < 2 || !isAll) return false;
    this.#items = [{ client_id: newId(), change: { edits } }];
    return true;
  }

  /** Edits that what is shown does not hold yet. */
  unseen(): Edit[] {
    return this.#items.flatMap((item) => ('edits' in item.change ? item.change.edits.slice(item.seen ?? 0) : []));
  }

  #replaceLast(edits: Edit[]): void {
    this.#items[this.#items.length - 1] = { client_id: newId(), change: { edits } };
  }
}
