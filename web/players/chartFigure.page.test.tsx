import { screen } from '@testing-library/react';
import { lazy } from 'react';
import { expect, it } from 'vitest';
import { emptyPage, show } from '../testing/page.tsx';
import { ChartFigure } from '../charts/ChartFigure.tsx';

emptyPage();

it('is as high while its chart is loaded as with it', async () => {
  let bring: (chart: { default: () => string }) => void = () => undefined;
  const Chart = lazy(() => new Promise<{ default: () => string }>((resolve) => (bring = resolve)));
  show(
    <ChartFigure label="Causes" height={190}>
      <Chart />
    </ChartFigure>,
  );
  const figure = screen.getByRole('figure', { name: 'Causes' });
  screen.getByRole('status');
  expect(figure.style.height).toBe('190px');
  bring({ default: () => 'the chart' });
  await screen.findByText('the chart');
  expect(screen.queryByRole('status')).toBeNull();
  expect(screen.getByRole('figure')).toBe(figure);
  expect(figure.style.height).toBe('190px');
});
