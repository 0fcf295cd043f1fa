import { expose } from 'comlink';
import { planEvening } from '../../core/evening/planEvening.ts';
import type { EveningSolver } from './eveningProtocol.ts';

const solver: EveningSolver = {
  plan: (ask, seed) => Promise.resolve(planEvening(ask, seed)),
};

expose(solver);
