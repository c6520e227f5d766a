import classes from './TabletsRoom.module.css';

type Props = { path: string; side: number; says: string };

/** A code for a camera; dark on light on every ground, since cameras look for that. */
export function CameraCode({ path, side, says }: Props) {
  return (
    <svg viewBox={`0 0 ${side} ${side}`} className={classes.code} role="img" aria-label={says}>
      <path d={path} />
    </svg>
  );
}
