import { Suspense, type ReactNode } from 'react';
import { Loading } from '../controls/Loading.tsx';

interface ChartFigureProps {
  readonly label: string;
  /** Pixels. */
  readonly height: number;
  readonly children: ReactNode;
}

/** What a chart is drawn into. It is as high before the chart has been loaded, so that nothing below it moves. */
export function ChartFigure({ label, height, children }: ChartFigureProps) {
  return (
    <figure style={{ margin: '10px 0 0', height }} aria-label={label}>
      <Suspense fallback={<Loading what="the chart" error={null} height={height} />}>{children}</Suspense>
    </figure>
  );
}
