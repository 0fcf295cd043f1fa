import fc from 'fast-check';
import { expect, it } from 'vitest';
import { logOf } from '../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../core/records/entered.ts';
import { newAttemptSchema } from '../../core/records/storedAttempt.ts';
import type { Course } from '../../core/scoring/course.ts';
import { storedAttempt } from '../../core/scoring/storedAttempt.ts';
import { sendingOf, type Sending } from '../outbox/sending.ts';
import { courseOf } from '../testing/courses.ts';
import { changeOf, requestOf } from './changes.ts';
import {
  shownOf,
  startDevice,
  withAnswer,
  withEntered,
  type DeviceRound,
  type RoundState,
} from './deviceRound.ts';
import { enter, NOTHING_ON_SCREEN, redo, undo, type Scoring, type Step } from './scoring.ts';

/** Histories that are drawn; JOLLY_HISTORIES asks for more of them. */
const RUNS = Number(process.env['JOLLY_HISTORIES'] ?? 2_500);

/**
 * Two devices, their journals and outboxes, the network and the server as one small machine. Each step moves one thing
 * at one place; any order of steps must lose nothing, double nothing and tell of no conflict where there is none.
 */

const base = courseOf('frozen-pair');
const drill = { ...base.counting.drill, scoring: { method: 'success-rate' as const, attempts: 90 } };
const COURSE: Course = { ...base, counting: { ...base.counting, drill } };
const ROUND = '00000000-0000-4000-8000-00000000000f';
const AT = '2026-11-24T12:00:00.000Z';
const EMPTY: RoundState = { attempts: [], underWay: null, ended: null };

/** The server by its rules alone: of a shot one entry stands; what was taken back stays so. */
class Server {
  readonly entries = new Map<
    string,
    { ordinal: number; body: unknown; contested: boolean; undone: boolean }
  >();

  take({ method, path, body }: Pick<Sending, 'method' | 'path' | 'body'>): void {
    const id = path.split('/')[4] ?? '';
    const known = this.entries.get(id);
    if (method === 'DELETE') {
      if (known !== undefined) this.entries.set(id, { ...known, undone: true });
      return;
    }
    if (known !== undefined) return;
    const { ordinal } = newAttemptSchema.validateSync(body);
    const contested = this.standing().some((entry) => entry.ordinal === ordinal);
    this.entries.set(id, { ordinal, body, contested, undone: false });
  }

  standing() {
    return [...this.entries]
      .map(([id, entry]) => ({ id, ...entry }))
      .filter(({ contested, undone }) => !contested && !undone)
      .sort((a, b) => a.ordinal - b.ordinal);
  }

  contested() {
    return [...this.entries].filter(([, { contested, undone }]) => contested && !undone).map(([id]) => id);
  }

  state(): RoundState {
    return {
      ...EMPTY,
      attempts: this.standing().map(({ id, ordinal, body }) => {
        const { log } = newAttemptSchema.validateSync(body);
        return storedAttempt(COURSE.counting, log, { id, ordinal, playedAt: AT });
      }),
    };
  }
}

/** A question for the round on its way: what was read on the device so far, then the answer. */
interface Poll {
  readonly number: number;
  readonly entered: ReadonlySet<string>;
  readonly journal?: readonly string[];
  readonly waiting?: ReadonlySet<string>;
  readonly answer?: RoundState;
}

let serial = 0;
const nextId = () => `00000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`;

class Device {
  round: DeviceRound = startDevice(EMPTY, []);
  screen = NOTHING_ON_SCREEN;
  journal: Sending[] = [];
  box: Sending[] = [];
  inFlight: { sending: Sending; arrived: boolean } | undefined;
  poll: Poll | undefined;
  questions = 0;

  get shown(): Scoring {
    return { ...shownOf(COURSE, this.round), ...this.screen };
  }

  take({ scoring, changes }: Step): void {
    const sendings = changes.map((change) => ({
      ...sendingOf(requestOf(ROUND, change), { id: 'coach', name: 'Ida' }),
      id: nextId(),
    }));
    this.journal.push(...sendings);
    this.round = withEntered(
      this.round,
      changes.map((change, i) => ({ key: sendings[i]?.id ?? '', change })),
    );
    const { undone, cursor, cutOff } = scoring;
    this.screen = { undone, cursor, cutOff };
  }

  /** The page is closed and opened again: what is in memory is gone, what is kept is read and laid over. */
  reload(server: Server): void {
    this.box.push(...this.journal);
    this.journal = [];
    this.poll = undefined;
    this.screen = NOTHING_ON_SCREEN;
    this.questions = 0;
    this.round = startDevice(
      server.state(),
      this.box.flatMap((sending) => {
        const change = changeOf(COURSE, sending);
        return change === undefined ? [] : [{ key: sending.id, change }];
      }),
    );
  }
}

type Action =
  | 'enter'
  | 'undo'
  | 'redo'
  | 'to box'
  | 'send'
  | 'arrive'
  | 'acknowledge'
  | 'lose'
  | 'late arrival'
  | 'ask'
  | 'reload';

class World {
  readonly server = new Server();
  readonly late: Sending[] = [];
  readonly devices: readonly Device[];
  /** What each device should show if it were alone: the ids in order. */
  readonly script: string[][];
  readonly takenBack = new Set<string>();
  readonly enteredIds = new Set<string>();

  constructor(count: number) {
    this.devices = Array.from({ length: count }, () => new Device());
    this.script = this.devices.map(() => []);
  }

  do(d: number, action: Action): void {
    const device = this.devices[d];
    const script = this.script[d];
    if (device === undefined || script === undefined) return;
    const before = device.shown.attempts;
    switch (action) {
      case 'enter':
      case 'redo': {
        if (before.length >= 80) return;
        const stamp = { id: nextId(), at: AT };
        const log = logOf({ entered: NOTHING_ENTERED, seed: serial });
        device.take(
          action === 'enter' ? enter(COURSE, device.shown, log, stamp) : redo(COURSE, device.shown, stamp),
        );
        if (device.shown.attempts.some(({ id }) => id === stamp.id)) {
          script.push(stamp.id);
          this.enteredIds.add(stamp.id);
        }
        return;
      }
      case 'undo': {
        const last = before.at(-1);
        device.take(undo(device.shown, AT));
        if (last !== undefined) {
          this.takenBack.add(last.id);
          script.pop();
        }
        return;
      }
      case 'to box': {
        const first = device.journal.shift();
        if (first !== undefined) device.box.push(first);
        return;
      }
      case 'send':
        if (device.inFlight === undefined && device.box[0] !== undefined) {
          device.inFlight = { sending: device.box[0], arrived: false };
        }
        return;
      case 'arrive':
        if (device.inFlight?.arrived === false) {
          this.server.take(device.inFlight.sending);
          device.inFlight = { ...device.inFlight, arrived: true };
        }
        return;
      case 'acknowledge':
        if (device.inFlight?.arrived === true) {
          const { id } = device.inFlight.sending;
          device.box = device.box.filter((sending) => sending.id !== id);
          device.inFlight = undefined;
        }
        return;
      case 'lose':
        // The device gives it up; what has not arrived may still arrive at any time.
        if (device.inFlight?.arrived === false) this.late.push(device.inFlight.sending);
        device.inFlight = undefined;
        return;
      case 'late arrival': {
        const sending = this.late.shift();
        if (sending !== undefined) this.server.take(sending);
        return;
      }
      case 'ask':
        this.ask(device);
        return;
      case 'reload':
        device.inFlight = undefined;
        device.reload(this.server);
        return;
    }
  }

  /** One step of a question: the device's own memory, the journal, the box, the server, the answer. */
  ask(device: Device): void {
    const { poll } = device;
    if (poll === undefined) {
      const entered = new Set(device.round.unconfirmed.map(({ key }) => key));
      device.poll = { number: ++device.questions, entered };
    } else if (poll.journal === undefined) {
      device.poll = { ...poll, journal: device.journal.map(({ id }) => id) };
    } else if (poll.waiting === undefined) {
      device.poll = { ...poll, waiting: new Set([...poll.journal, ...device.box.map(({ id }) => id)]) };
    } else if (poll.answer === undefined) {
      device.poll = { ...poll, answer: this.server.state() };
    } else {
      const { number, entered, waiting, answer } = poll;
      device.round = withAnswer(device.round, { number, entered, waiting }, answer);
      device.poll = undefined;
    }
  }

  /** Everything that waits goes out, in an order of its own, and every device asks twice. */
  settle(): void {
    while (this.late.length > 0) this.do(0, 'late arrival');
    this.devices.forEach((device, d) => {
      while (device.journal.length > 0) this.do(d, 'to box');
      while (device.box.length > 0)
        for (const action of ['send', 'arrive', 'acknowledge'] as const) this.do(d, action);
    });
    this.devices.forEach((device) => {
      for (let step = 0; step < 15; step++) this.ask(device);
    });
  }
}

/** Entries and questions are frequent, reloads rare. */
const action = fc.oneof(
  { weight: 5, arbitrary: fc.constant('enter' as const) },
  {
    weight: 1,
    arbitrary: fc.constantFrom('undo' as const, 'redo' as const, 'reload' as const, 'lose' as const),
  },
  {
    weight: 10,
    arbitrary: fc.constantFrom(
      'to box',
      'send',
      'arrive',
      'acknowledge',
      'late arrival',
      'ask',
      'ask',
      'ask',
    ),
  },
);
const plays = (devices: number) =>
  fc.array(fc.tuple(fc.nat(devices - 1), action), { minLength: 5, maxLength: 70 });

it('one device shows at every moment exactly what was entered on it, and the server gets just that', () => {
  fc.assert(
    fc.property(plays(1), (played) => {
      const world = new World(1);
      const [device] = world.devices;
      for (const [d, each] of played) {
        world.do(d, each);
        expect(device?.shown.attempts.map(({ id }) => id)).toEqual(world.script[0]);
      }
      world.settle();
      expect(world.server.standing().map(({ id }) => id)).toEqual(world.script[0]);
      expect(world.server.contested()).toEqual([]);
      expect(device?.shown.attempts.map(({ id }) => id)).toEqual(world.script[0]);
    }),
    { seed: 13, numRuns: RUNS },
  );
}, 120_000);

it('of two devices nothing is lost or doubled, and in the end both show what stands', () => {
  fc.assert(
    fc.property(plays(2), (played) => {
      const world = new World(2);
      for (const [d, each] of played) {
        const before = world.devices[d]?.shown.attempts.map(({ id }) => id) ?? [];
        world.do(d, each);
        const after = new Set(world.devices[d]?.shown.attempts.map(({ id }) => id));
        // A shot leaves the screen only when it is taken back, or when the server says that another entry stands.
        const gone = before.filter((id) => !after.has(id) && !world.takenBack.has(id));
        for (const id of gone) {
          const entry = world.server.entries.get(id);
          const ordinals = world.devices[d]?.shown.attempts.map(({ ordinal }) => ordinal);
          if (entry?.contested !== true) expect(ordinals).toContain(entry?.ordinal);
        }
      }
      world.settle();
      for (const id of world.enteredIds) {
        expect(world.server.entries.get(id)?.undone).toBe(world.takenBack.has(id));
      }
      const standing = world.server.standing();
      expect(new Set(standing.map(({ ordinal }) => ordinal)).size).toBe(standing.length);
      for (const device of world.devices) {
        expect(device.shown.attempts.map(({ id }) => id)).toEqual(standing.map(({ id }) => id));
      }
    }),
    { seed: 31, numRuns: RUNS },
  );
}, 240_000);
