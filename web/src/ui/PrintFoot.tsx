import { ClubMark } from './ClubMark';
import classes from './PrintFoot.module.css';

/** The line at the foot of each printed sheet. */
export function PrintFoot() {
  return (
    <footer className={classes.foot}>
      <ClubMark />
      Training is at one’s own club’s responsibility. The rules of your governing body, local law and
      qualified people come first. Printed from Lynchet.
    </footer>
  );
}
