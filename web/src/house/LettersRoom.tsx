import { useLetters } from '../api/club';
import { Empty, Loaded } from '../ui/States';
import { moment } from '../ui/words';
import classes from './CopiesRoom.module.css';

/** What was written to families when classes were called off. */
export function LettersRoom() {
  const letters = useLetters();
  return (
    <section aria-label="Letters">
      <h2>Letters</h2>
      <p>
        Lynchet sends nothing. When a class is called off it writes the letters here; each opens in your mail
        program, which sends it. They also stand in the folder <code>outbox</code> beside the data.
      </p>
      <Loaded query={letters}>
        {(all) =>
          all.length === 0 ? (
            <Empty title="No letter yet" steps={[{ label: 'To the week', to: '/mat/week' }]}>
              A class is called off from its plan.
            </Empty>
          ) : (
            <ul className={classes.copies}>
              {all.map((letter) => (
                <li key={letter.name}>
                  <strong>{letter.subject}</strong>
                  <span className="quiet">{moment(letter.at)}</span>
                  <span>{letter.to}</span>
                  <a href={`/api/letters/${letter.name}`} download={letter.name}>
                    Open
                  </a>
                </li>
              ))}
            </ul>
          )
        }
      </Loaded>
    </section>
  );
}
