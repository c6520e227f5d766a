import type { Bell } from './clock';

/** Frequencies in hertz and loudness of a small struck bell; made here, so that nothing has to be fetched for it. */
const PARTIALS = [
  [660, 1],
  [1320, 0.5],
  [1980, 0.25],
  [2772, 0.15],
] as const;

let audio: AudioContext | null = null;

/** Lets the bell ring from now on; a browser allows it only from a touch. */
export function unlockBell() {
  if (typeof AudioContext === 'undefined') return;
  audio ??= new AudioContext();
  void audio.resume();
}

const STROKES: Record<Bell, number> = { swap: 1, go: 1, stop: 2, end: 3 };

/** One stroke to go on, two to stop, three for the end of a block. */
export function ring(bell: Bell) {
  for (let n = 0; n < STROKES[bell]; n++) strike(n * 0.55);
}

function strike(after: number) {
  if (!audio) return;
  const at = audio.currentTime + after;
  for (const [hertz, loud] of PARTIALS) {
    const tone = audio.createOscillator();
    const fades = audio.createGain();
    tone.frequency.value = hertz;
    fades.gain.setValueAtTime(0.35 * loud, at);
    fades.gain.exponentialRampToValueAtTime(0.0001, at + 1.4);
    tone.connect(fades).connect(audio.destination);
    tone.start(at);
    tone.stop(at + 1.5);
  }
}
