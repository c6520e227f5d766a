import { useWelcome } from '../api/club';
import classes from './PrintFoot.module.css';

/** The club's badge, where it has one, and its name. */
export function ClubMark() {
  const welcome = useWelcome().data;
  if (!welcome) return null;
  return (
    <span className={classes.mark}>
      {welcome.badge && <img src={`/api/club/badge?${welcome.badge}`} alt="" />}
      <span>{welcome.club}</span>
    </span>
  );
}
