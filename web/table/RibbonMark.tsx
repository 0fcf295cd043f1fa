import { hasPlace, type RibbonPiece, type RibbonState } from '../../core/planning/ribbon.ts';
import { colour, type ColourName } from '../theme.ts';
import { useProjection } from './context.ts';
import { pathText } from './projection.ts';

interface Look {
  readonly ink: ColourName;
  readonly width: number;
  readonly dashes: string | undefined;
}

/** Width and dashes tell the states apart in grey; the key gives them their words. */
export const RIBBON_LOOKS: Readonly<Record<Exclude<RibbonState, 'missed' | 'lost'>, Look>> = {
  on: { ink: 'rail-ink', width: 8, dashes: undefined },
  'backup ball': { ink: 'rail-ink', width: 6.5, dashes: '14 8' },
  rest: { ink: 'rail-ink', width: 5, dashes: '5 7' },
  hidden: { ink: 'muted', width: 4, dashes: '2 7' },
  off: { ink: 'muted', width: 3, dashes: '1 6' },
  'in-off': { ink: 'coral', width: 5, dashes: '3 4' },
};

/** Where the stroke stops at other paces, and what it leaves there. */
export function RibbonMark({ pieces }: { readonly pieces: readonly RibbonPiece[] }) {
  const projection = useProjection();
  const unit = Math.max(projection.width, projection.height) / 1000;
  return (
    <g fill="none" strokeLinejoin="round">
      {pieces.map((piece) => {
        if (!hasPlace(piece.state) || piece.points.length < 2) return null;
        const look = RIBBON_LOOKS[piece.state];
        const d = pathText(projection, piece.points);
        const dashes = look.dashes
          ?.split(' ')
          .map((each) => Number(each) * unit)
          .join(' ');
        return (
          <g key={piece.from}>
            <path d={d} stroke={colour('surface')} strokeWidth={(look.width + 3) * unit} opacity={0.7} />
            <path
              d={d}
              stroke={colour(look.ink)}
              strokeWidth={look.width * unit}
              strokeDasharray={dashes}
              opacity={0.8}
            />
          </g>
        );
      })}
    </g>
  );
}
