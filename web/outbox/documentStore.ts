import { number, object, type Schema } from 'yup';
import { isSameJson, mergeDocuments } from '../../core/records/mergeDocuments.ts';
import { ApiError, call, OfflineError } from '../api/client.ts';
import type { Person } from './sending.ts';

/** After the last change it is sent when nothing more is typed for so long, and tried again after so long, ms. */
const SEND_AFTER_MS = 600;
const TRY_AGAIN_MS = 4_000;
/** A document that is changed elsewhere while it is sent is merged so often before somebody is asked. */
const MOST_MERGES = 5;

export type Saving = 'saved' | 'saving' | 'kept here' | 'changed elsewhere' | 'refused';

/** A document with the number of its version, as the server keeps it. */
export interface Versioned<D> {
  readonly version: number;
  readonly document: D;
}

/** Documents of one resource of the server. */
export interface DocumentKind<D, R extends Versioned<D>> {
  /** Its part of the address: "lessons". */
  readonly path: string;
  readonly documentSchema: Schema<D>;
  /** Parses the reply to a PUT, and to a GET. */
  readonly stored: (reply: unknown) => Promise<R>;
  readonly read: (reply: unknown) => Promise<R>;
}

/** What was changed here and is not stored. */
export interface Unsaved<D> {
  /** What it was made from, and that version's number. */
  readonly base: D;
  readonly basedOn: number;
  readonly mine: D;
  readonly saving: Exclude<Saving, 'saved'>;
  /** Why the server would not take it. */
  readonly refusal: string;
  /** Where it and the newest version differ, while somebody has to say which counts. */
  readonly conflicts: readonly string[];
}

/**
 * Documents that are worked on: each change is kept on the device at once, as its writer's, and sent when it can be,
 * one after the other; versions that were changed at the same time are merged, or somebody is asked.
 */
export class DocumentStore<D, R extends Versioned<D>> {
  readonly #kind: DocumentKind<D, R>;
  readonly #unsaved = new Map<string, Unsaved<D>>();
  readonly #timers = new Map<string, ReturnType<typeof setTimeout>>();
  readonly #sending = new Set<string>();
  readonly #listeners = new Set<() => void>();
  readonly #onStored = new Set<(id: string, stored: R) => void>();
  #owner: Person | undefined;

  constructor(kind: DocumentKind<D, R>) {
    this.#kind = kind;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Calls back with each version that the server has taken. */
  onStored(listener: (id: string, stored: R) => void): () => void {
    this.#onStored.add(listener);
    return () => this.#onStored.delete(listener);
  }

  /** What of a document is not stored; undefined when all is. */
  unsaved(id: string): Unsaved<D> | undefined {
    return this.#unsaved.get(id);
  }

  /** Takes up what a person left unsent on this device, and sends it. */
  setOwner(person: Person | undefined): void {
    if (this.#owner?.id === person?.id) return;
    this.#owner = person;
    for (const timer of this.#timers.values()) clearTimeout(timer);
    this.#timers.clear();
    this.#unsaved.clear();
    for (const [id, kept] of this.#readKept()) {
      this.#unsaved.set(id, kept);
      this.#schedule(id, 0);
    }
    this.#tell();
  }

  /** A change. @param from the version that is shown, where nothing waits */
  change(id: string, from: Versioned<D>, next: D): void {
    const before = this.#unsaved.get(id);
    this.#keep(id, {
      base: before?.base ?? from.document,
      basedOn: before?.basedOn ?? from.version,
      mine: next,
      saving: before?.saving === 'changed elsewhere' ? 'changed elsewhere' : 'saving',
      refusal: '',
      conflicts: before?.conflicts ?? [],
    });
    this.#schedule(id, SEND_AFTER_MS);
  }

  /** Which version counts, where both changed the same. */
  async settle(id: string, keep: 'mine' | 'theirs'): Promise<void> {
    const unsaved = this.#unsaved.get(id);
    if (unsaved === undefined) return;
    const theirs = await this.#fetch(id);
    if (keep === 'theirs') {
      this.#onStored.forEach((listener) => listener(id, theirs));
      this.#forget(id);
      return;
    }
    const { mine } = unsaved;
    this.#keep(id, {
      ...unsaved,
      base: theirs.document,
      basedOn: theirs.version,
      mine,
      saving: 'saving',
      conflicts: [],
    });
    await this.#send(id);
  }

  /** Waits until what was changed is stored. @throws Error where it cannot be, now */
  async flush(id: string): Promise<void> {
    const now = this.#unsaved.get(id);
    if (now === undefined) return;
    if (now.saving !== 'changed elsewhere') this.#keep(id, { ...now, saving: 'saving' });
    this.#schedule(id, 0);
    await new Promise<void>((resolve, reject) => {
      const look = () => {
        const saving = this.#unsaved.get(id)?.saving ?? 'saved';
        if (saving === 'saving') return;
        forget();
        if (saving === 'saved') resolve();
        else reject(new Error('what was changed last is not stored yet'));
      };
      const forget = this.subscribe(look);
      look();
    });
  }

  /** Sends what was refused once more. */
  again(id: string): void {
    this.#schedule(id, 0);
  }

  #tell(): void {
    this.#listeners.forEach((listener) => listener());
  }

  #schedule(id: string, ms: number): void {
    clearTimeout(this.#timers.get(id));
    this.#timers.set(
      id,
      setTimeout(() => void this.#send(id), ms),
    );
  }

  /** One request of a document at a time: what is changed meanwhile goes after it. */
  async #send(id: string): Promise<void> {
    if (this.#sending.has(id)) {
      this.#schedule(id, SEND_AFTER_MS);
      return;
    }
    this.#sending.add(id);
    try {
      await this.#sendUntilTaken(id);
    } finally {
      this.#sending.delete(id);
    }
  }

  async #sendUntilTaken(id: string): Promise<void> {
    const owner = this.#owner;
    for (let merges = 0; merges <= MOST_MERGES; merges++) {
      const sent = this.#unsaved.get(id);
      if (owner === undefined || sent === undefined || sent.saving === 'changed elsewhere') return;
      this.#keep(id, { ...sent, saving: 'saving' });
      try {
        const body = { document: sent.mine, basedOn: sent.basedOn };
        const reply = await call('PUT', `/${this.#kind.path}/${id}`, body, { as: owner.id });
        this.#taken(id, sent.mine, await this.#kind.stored(reply));
        return;
      } catch (error) {
        if (!(error instanceof OfflineError || error instanceof ApiError)) throw error;
        if (!(error instanceof ApiError && error.status === 409)) {
          this.#notTaken(id, error);
          return;
        }
      }
      try {
        if (!this.#merged(id, await this.#fetch(id))) return;
      } catch (error) {
        if (!(error instanceof OfflineError || error instanceof ApiError)) throw error;
        this.#notTaken(id, error);
        return;
      }
    }
    this.#schedule(id, TRY_AGAIN_MS);
  }

  async #fetch(id: string): Promise<R> {
    return this.#kind.read(await call('GET', `/${this.#kind.path}/${id}`));
  }

  #taken(id: string, sent: D, stored: R): void {
    // What shows it has the new version before the unsaved one is gone.
    this.#onStored.forEach((listener) => listener(id, stored));
    const now = this.#unsaved.get(id);
    if (now === undefined || now.mine === sent) this.#forget(id);
    else {
      this.#keep(id, {
        ...now,
        base: stored.document,
        basedOn: stored.version,
        saving: 'saving',
        refusal: '',
      });
      this.#schedule(id, SEND_AFTER_MS);
    }
  }

  /** A refusal does not pass by itself: it is told, and what was typed stays until it is changed or sent again. */
  #notTaken(id: string, error: ApiError | OfflineError): void {
    const now = this.#unsaved.get(id);
    if (now === undefined) return;
    const passes =
      error instanceof OfflineError || error.status >= 500 || error.status === 401 || error.status === 429;
    this.#keep(id, {
      ...now,
      saving: passes ? 'kept here' : 'refused',
      refusal: passes ? '' : error.message,
    });
    if (passes) this.#schedule(id, TRY_AGAIN_MS);
  }

  /** Lays mine over theirs. @returns whether it can be sent; else somebody has to say which counts */
  #merged(id: string, theirs: R): boolean {
    const now = this.#unsaved.get(id);
    if (now === undefined) return false;
    const { merged, conflicts } = mergeDocuments(now.base, now.mine, theirs.document);
    const valid = this.#kind.documentSchema.isValidSync(merged) ? merged : undefined;
    if (conflicts.length > 0 || valid === undefined) {
      this.#keep(id, { ...now, saving: 'changed elsewhere', conflicts });
      return false;
    }
    this.#keep(id, { ...now, base: theirs.document, basedOn: theirs.version, mine: valid });
    return true;
  }

  #prefix(): string {
    return `jolly-document:${this.#owner?.id ?? ''}:${this.#kind.path}:`;
  }

  #keep(id: string, unsaved: Unsaved<D>): void {
    const before = this.#unsaved.get(id);
    // The same document stays the same value, so that what shows it is not made anew.
    const mine = before !== undefined && isSameJson(before.mine, unsaved.mine) ? before.mine : unsaved.mine;
    this.#unsaved.set(id, { ...unsaved, mine });
    try {
      localStorage.setItem(this.#prefix() + id, JSON.stringify(unsaved));
    } catch (error) {
      // Without room on the device it is still sent from this page.
      if (!(error instanceof DOMException)) throw error;
    }
    this.#tell();
  }

  #forget(id: string): void {
    this.#unsaved.delete(id);
    localStorage.removeItem(this.#prefix() + id);
    this.#tell();
  }

  *#readKept(): Generator<[string, Unsaved<D>]> {
    if (this.#owner === undefined) return;
    const { documentSchema } = this.#kind;
    const schema = object({ basedOn: number().strict().required() }).required();
    const prefix = this.#prefix();
    for (const key of Object.keys(localStorage).filter((each) => each.startsWith(prefix))) {
      try {
        const value: unknown = JSON.parse(localStorage.getItem(key) ?? 'null');
        const { basedOn } = schema.validateSync(value);
        const parts: object = object().required().validateSync(value);
        const part = (name: 'base' | 'mine') =>
          documentSchema.validateSync(name in parts ? Reflect.get(parts, name) : undefined);
        yield [
          key.slice(prefix.length),
          { base: part('base'), mine: part('mine'), basedOn, saving: 'saving', refusal: '', conflicts: [] },
        ];
      } catch {
        // It stays where it is: a newer version of this page may be able to read it.
      }
    }
  }
}
