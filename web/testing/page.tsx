import { MantineProvider } from '@mantine/core';
import { cleanup, render } from '@testing-library/react';
import type { ReactNode } from 'react';
import type { Viewer } from '../../core/records/account.ts';
import { FIRST_RULES } from '../../core/records/clubRules.ts';
import { ViewerContext } from '../api/viewer.ts';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, vi } from 'vitest';

/** For the tests of one file: a page in which components can be shown, empty again after each of them. */
export function emptyPage(): void {
  beforeEach(() => {
    // Nothing scrolls here.
    Element.prototype.scrollIntoView = () => undefined;
    vi.stubGlobal('matchMedia', () => ({
      matches: false,
      addEventListener: vi.fn(),
      removeEventListener: vi.fn(),
    }));
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });
}

/** Who looks at what is shown. */
const COACH: Viewer = {
  id: 'coach',
  clubId: 'club',
  club: 'Ferry Hall',
  role: 'coach',
  name: 'Morwenna',
  keeper: false,
  rules: FIRST_RULES,
};

/** Shows a component as the interface does, without its frame, to a coach. */
export function show(content: ReactNode) {
  return render(
    <MantineProvider env="test">
      <MemoryRouter>
        <ViewerContext value={COACH}>{content}</ViewerContext>
      </MemoryRouter>
    </MantineProvider>,
  );
}
