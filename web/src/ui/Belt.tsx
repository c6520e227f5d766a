import { nth } from './lists';

const COLOURS: Record<string, string> = {
  white: '--belt-white',
  grey: '--belt-grey',
  yellow: '--belt-yellow',
  orange: '--belt-orange',
  green: '--belt-green',
  blue: '--belt-blue',
  purple: '--belt-purple',
  brown: '--belt-brown',
  red: '--belt-red',
  black: '--belt-black',
};

/** The colours that a belt is drawn in. */
export const COLOUR_NAMES = Object.keys(COLOURS);

type Props = { colours: string[]; stripes?: number; of?: number; width?: number };

/** A short woven strip in the rank's one or two colours, its stripes as tape at the end. */
export function Belt({ colours, stripes = 0, of = 0, width = 84 }: Props) {
  const tape = Math.max(of, stripes);
  const end = tape * 7 + 10;
  const fill = (name: string) => `var(${COLOURS[name] ?? '--line'})`;
  const weave = Array.from({ length: Math.floor(width / 6) }, (_, i) => `M${i * 6 + 4} 2l-3 10`).join('');
  return (
    <svg
      role="img"
      aria-label={`${colours.join('-')} belt${of ? `, ${stripes} of ${of} stripes` : ''}`}
      width={width}
      height={16}
      viewBox={`0 0 ${width} 16`}
      style={{ flex: 'none' }}
    >
      <rect
        x="1"
        y="2"
        width={width - 2}
        height="11"
        rx="1.5"
        fill={fill(nth(colours, 0))}
        stroke="var(--belt-edge)"
      />
      {colours[1] && <rect x="2" y="6" width={width - 3} height="3.5" fill={fill(colours[1])} />}
      <path d={weave} stroke="var(--belt-weave)" strokeWidth="0.8" />
      {tape > 0 && <rect x={width - end - 1} y="2" width={end} height="11" fill="var(--belt-bar)" />}
      {Array.from({ length: tape }, (_, i) => (
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: stripes have no identity but their place
          key={i}
          x={width - end + 4 + i * 7}
          y="2.5"
          width="3.5"
          height="10"
          fill={i < stripes ? 'var(--belt-tape)' : 'none'}
          stroke="var(--belt-tape)"
          strokeWidth="0.7"
        />
      ))}
    </svg>
  );
}
