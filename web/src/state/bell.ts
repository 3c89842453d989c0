/** Hz of the two strokes of a bell, s between them and until each has faded. */
const [STROKES, APART, FADES] = [[880, 660], 0.22, 0.5] as const;
const LOUD = 0.25;

/** Rings like a small bell, for hands and eyes that are on the clay. Where there is no sound, nothing happens. */
export function ringBell(): void {
  if (typeof AudioContext === 'undefined') return;
  const room = new AudioContext();
  STROKES.forEach((pitch, i) => {
    const [tone, fade] = [room.createOscillator(), room.createGain()];
    const at = room.currentTime + i * APART;
    tone.frequency.value = pitch;
    fade.gain.setValueAtTime(LOUD, at);
    fade.gain.exponentialRampToValueAtTime(0.001, at + FADES);
    tone.connect(fade).connect(room.destination);
    tone.start(at);
    tone.stop(at + FADES);
    tone.addEventListener('ended', () => {
      if (i === STROKES.length - 1) void room.close();
    });
  });
}
