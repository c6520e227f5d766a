import { NavLink, Outlet } from 'react-router';
import { useSession } from '../api/club';
import { PageHead } from '../frame/PageHead';
import classes from './HousePage.module.css';

/** Settings of the house: an index at the left, one room at a time beside it. */
export function HousePage() {
  const session = useSession();
  const rooms = [
    { to: '/house', label: 'Club and looks' },
    { to: '/house/tablets', label: 'Tablets' },
    ...(session.data?.role === 'VIEWER'
      ? []
      : [
          { to: '/house/letters', label: 'Letters' },
          { to: '/house/numbers', label: 'Safety numbers' },
          { to: '/house/rules', label: 'Rules of bouts' },
        ]),
    ...(session.data?.role === 'HEAD'
      ? [
          { to: '/house/tracks', label: 'Tracks and closed days' },
          { to: '/house/accounts', label: 'Accounts' },
          { to: '/house/copies', label: 'Safe keeping' },
          { to: '/house/exchange', label: 'Import and export' },
          { to: '/house/library', label: 'The library' },
        ]
      : []),
  ];
  return (
    <>
      <PageHead title="House" />
      <div className={classes.house}>
        <nav aria-label="House" className={classes.index}>
          {rooms.map((room) => (
            <NavLink key={room.to} to={room.to} end>
              {room.label}
            </NavLink>
          ))}
        </nav>
        <div className={classes.room}>
          <Outlet />
        </div>
      </div>
    </>
  );
}
