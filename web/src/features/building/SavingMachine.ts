import { ApiError, api } from '../../api/client';
import type { BuildingState, Conflict, Difference, Edit, FixedParts, PartChange, Problem } from '../../api/types';
import type { Change, Unsent, UnsentQueue } from './unsent';

export type SaveState =
  | { kind: 'saved' }
  | { kind: 'saving' }
  /** Changes that belong together are being collected; they are one revision. */
  | { kind: 'gathering' }
  | { kind: 'waiting'; why: string }
  | { kind: 'signed-out'; why: string }
  /** `instead`: what would be done where the person says that it is meant. */
  | { kind: 'refused'; why: string; instead: Edit[] | null }
  /** The server breaks on the next change, however often it is sent. */
  | { kind: 'broken'; why: string }
  | { kind: 'conflict'; conflict: Conflict }
  | { kind: 'fixed'; message: string; parts: PartChange[] };

/** What to do about a conflict: theirs as it is, mine whole, what I did once more on theirs, or single changes of mine. */
export type Settlement = 'theirs' | 'mine' | 'again' | Difference[];

/** The building as the tab shows it, wherever that is kept. */
export interface ShownBuilding {
  /** What is shown; undefined before it has come. */
  current(): BuildingState | undefined;
  show(state: BuildingState): void;
  /** What the server has now, whatever stands here. */
  refresh(): Promise<unknown>;
  /** A revision has been saved: what was derived from earlier ones is old. */
  saved(): void;
}

export interface Saving {
  status: SaveState;
  /** Edits that what is shown does not hold yet. */
  unseen: Edit[];
}

type Timer = ReturnType<typeof setTimeout>;

const RETRY_MS = 3000;
/** So often a change is sent on which the server breaks. */
const MOST_BREAKS = 3;
/** Presses within a second are one revision. */
const GATHER_MS = 1000;

/**
 * Sends changes one after the other, each with an id of its own, so that a resend is harmless. What could not be sent
 * waits in this tab, for the same person, and is sent when it can be.
 */
export class SavingMachine {
  #saving: Saving;
  /** Whether something is on its way. */
  #busy = false;
  /** How often the server has broken on the change that is next. */
  #breaks = 0;
  #retrying: Timer | undefined;
  #closing: Timer | undefined;
  readonly #listeners = new Set<() => void>();

  constructor(
    private readonly id: string,
    private readonly queue: UnsentQueue,
    private readonly building: ShownBuilding,
  ) {
    this.#saving = { status: { kind: 'saved' }, unseen: queue.unseen() };
  }

  readonly saving = (): Saving => this.#saving;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Begins with what an earlier page of this tab could not send. */
  readonly start = (): void => {
    this.queue.close();
    if (this.queue.first() !== undefined) void this.#send();
  };

  readonly stop = (): void => {
    clearTimeout(this.#retrying);
    this.close();
  };

  readonly save = (edits: Edit[]): void => this.#enqueue({ edits });

  readonly restore = (number: number): void => this.#enqueue({ restore: number });

  readonly undo = (): void => this.#step({ undo: true });

  readonly redo = (): void => this.#step({ redo: true });

  /** Edits that follow each other within a second are one revision, shown before it is saved. */
  readonly gather = (edits: Edit[]): void => {
    clearTimeout(this.#closing);
    this.#closing = setTimeout(this.close, GATHER_MS);
    this.queue.gather(edits);
    this.#keep();
    void this.#send();
  };

  /** Saves what is being gathered. */
  readonly close = (): void => {
    clearTimeout(this.#closing);
    if (!this.queue.close()) return;
    this.#keep();
    void this.#send();
  };

  readonly settle = async (how: Settlement): Promise<void> => {
    const { status } = this.#saving;
    if (status.kind !== 'conflict') return;
    const mine = JSON.stringify(status.conflict.mine.document);
    if (how !== 'again') this.queue.clear();
    this.#keep();
    await this.building.refresh();
    this.#say({ kind: 'saved' });
    if (how === 'mine') this.#enqueue({ document: mine });
    else if (how === 'again') void this.#send();
    else if (how !== 'theirs' && how.length > 0)
      this.save(how.map(({ path, after }) => ({ op: 'set', path, value: after ?? null })));
  };

  readonly settleFixed = (goOn: boolean): void => {
    const first = this.queue.first();
    if (goOn && first !== undefined) first.even_fixed = true;
    else this.queue.shift();
    this.#keep();
    this.#say({ kind: 'saved' });
    if (!goOn) void this.building.refresh();
    void this.#send();
  };

  /** Sends what waits. */
  readonly retry = (): void => {
    this.#breaks = 0;
    void this.#send();
  };

  /** Takes back the change on which the server breaks, and sends what waits behind it. */
  readonly takeBack = (): void => {
    this.#breaks = 0;
    this.queue.shift();
    this.#keep();
    this.#say({ kind: 'saved' });
    void this.building.refresh();
    void this.#send();
  };

  async #send(): Promise<void> {
    if (this.#busy || this.#breaks >= MOST_BREAKS) return;
    this.#busy = true;
    clearTimeout(this.#retrying);
    for (let next = this.queue.first(); next !== undefined; next = this.queue.first()) {
      const current = this.building.current();
      if (current === undefined || !(await this.#sendOne(next, current))) break;
    }
    this.#busy = false;
  }

  /** True where the next may follow. */
  async #sendOne(next: Unsent, current: BuildingState): Promise<boolean> {
    if (next.open === true) {
      this.#say({ kind: 'gathering' });
      if (next.seen === editsOf(next).length) return false;
      return (await this.#preview(next, current)) || this.queue.first()?.open !== true;
    }
    this.#say({ kind: 'saving' });
    try {
      this.#answered(
        await api.post<BuildingState>(`buildings/${this.id}/revisions`, {
          client_id: next.client_id,
          base: current.revision.number,
          ...next.change,
          ...(next.even_fixed === true ? { even_fixed: true } : {}),
        }),
      );
      return true;
    } catch (error) {
      const goesOn = this.#failed(
        error instanceof ApiError ? error : new ApiError(0, 'It could not be sent.', [], null),
      );
      this.#keep();
      return goesOn;
    }
  }

  /** Shows what a change that is still open would give; false where that cannot be had now. */
  async #preview(item: Unsent, state: BuildingState): Promise<boolean> {
    const edits = editsOf(item);
    const base = state.revision.number;
    try {
      const shown = await api.post<BuildingState>(`buildings/${this.id}/preview`, { base, edits });
      const now = this.building.current();
      if (this.queue.first() !== item || now?.revision.number !== base) return true;
      this.building.show({ ...shown, revision: now.revision, history: now.history });
      item.seen = edits.length;
    } catch {
      // Saving finds out what is wrong, and says so.
      return false;
    }
    this.#change({ unseen: this.queue.unseen() });
    return true;
  }

  #answered(state: BuildingState): void {
    this.#breaks = 0;
    this.building.show(state);
    this.queue.shift();
    this.#keep();
    this.#say({ kind: 'saved' });
    this.building.saved();
  }

  /** What was answered instead; true where the next change may follow at once. */
  #failed(fault: ApiError): boolean {
    switch (fault.status) {
      case 409:
        return this.#asked(fault.body as Conflict | FixedParts);
      case 422:
      case 404:
        this.#say({
          kind: 'refused',
          why: fault.problems.map((problem) => problem.text).join('; ') || fault.message,
          instead: meantAllTheSame(this.queue.first(), fault.problems),
        });
        this.queue.shift();
        void this.building.refresh();
        return true;
      case 401:
      case 419:
        this.#say({ kind: 'signed-out', why: fault.status === 401 ? fault.message : 'The session has ended.' });
        return false;
      default:
        // A server that is away, or may not write, comes back; one that breaks on this does so again.
        this.#breaks += fault.status === 500 ? 1 : 0;
        if (this.#breaks >= MOST_BREAKS) {
          this.#say({ kind: 'broken', why: fault.message });
          return false;
        }
        this.#say({ kind: 'waiting', why: fault.message });
        this.#retrying = setTimeout(() => void this.#send(), RETRY_MS);
        return false;
    }
  }

  /** The server wants to know what is meant. */
  #asked(body: Conflict | FixedParts): boolean {
    if (body.code === 'fixed') {
      this.#say({ kind: 'fixed', message: body.message, parts: body.parts });
      return false;
    }
    // What waits is put together once, so that the whole of it is compared.
    if (this.queue.merge()) return true;
    this.#say({ kind: 'conflict', conflict: body });
    return false;
  }

  #enqueue(change: Change): void {
    clearTimeout(this.#closing);
    this.queue.close();
    this.queue.push(change);
    this.#keep();
    void this.#send();
  }

  #step(change: { undo: true } | { redo: true }): void {
    // What is not sent yet is simply taken back.
    if ('undo' in change && this.queue.takeBack(this.#busy && this.queue.first()?.open !== true)) {
      clearTimeout(this.#closing);
      this.#keep();
      void this.building.refresh();
      if (this.queue.first() === undefined) this.#say({ kind: 'saved' });
      return;
    }
    this.#enqueue(change);
  }

  #keep(): void {
    this.queue.keep();
    this.#change({ unseen: this.queue.unseen() });
  }

  #say(status: SaveState): void {
    this.#change({ status });
  }

  #change(part: Partial<Saving>): void {
    this.#saving = { ...this.#saving, ...part };
    this.#listeners.forEach((listener) => listener());
  }
}

/** The edits of a refused change that are done where a person says so; null where there is no such way. */
function meantAllTheSame(item: Unsent | undefined, problems: readonly Problem[]): Edit[] | null {
  const isAsked = problems.length > 0 && problems.every((problem) => problem.code === 'edit.wall-goes');
  if (item === undefined || !isAsked) return null;
  return editsOf(item).map((edit) => (edit.op === 'shape-block' ? { ...edit, even_openings: true } : edit));
}

function editsOf(item: Unsent): Edit[] {
  return 'edits' in item.change ? item.change.edits : [];
}
