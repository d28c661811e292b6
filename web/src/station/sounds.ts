import type { Sound } from '@wergon/core/station';

/** Notes of each sound: frequency in hertz, length in seconds. Up is done, down is no, a pair asks. */
const NOTES: Readonly<Record<Sound, readonly (readonly [frequency: number, length: number])[]>> = {
  heard: [[660, 0.06]],
  done: [
    [660, 0.08],
    [990, 0.14],
  ],
  refused: [
    [220, 0.16],
    [165, 0.26],
  ],
  question: [
    [520, 0.1],
    [520, 0.1],
  ],
};
const VOLUME = 0.12;

let audio: AudioContext | undefined;

/** Plays a sound; silent where the browser has no sound or has not been touched yet. */
export function playSound(sound: Sound): void {
  try {
    audio ??= new AudioContext();
  } catch {
    return;
  }
  if (audio.state === 'suspended') void audio.resume();
  let at = audio.currentTime;
  for (const [frequency, length] of NOTES[sound]) {
    const tone = audio.createOscillator();
    const gain = audio.createGain();
    tone.frequency.value = frequency;
    gain.gain.value = VOLUME;
    tone.connect(gain).connect(audio.destination);
    tone.start(at);
    tone.stop(at + length);
    at += length + 0.03;
  }
}
