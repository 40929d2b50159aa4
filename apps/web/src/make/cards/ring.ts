/** Two short tones, made by the browser; silent where it may not sound before it was touched. */
export function ring(): void {
  if (typeof AudioContext === 'undefined') return;
  const sound = new AudioContext();
  [0, 0.35].forEach((start, i) => {
    const tone = sound.createOscillator();
    const loud = sound.createGain();
    tone.frequency.value = i === 0 ? 660 : 880;
    loud.gain.setValueAtTime(0.2, sound.currentTime + start);
    loud.gain.exponentialRampToValueAtTime(0.001, sound.currentTime + start + 0.3);
    tone.connect(loud).connect(sound.destination);
    tone.start(sound.currentTime + start);
    tone.stop(sound.currentTime + start + 0.3);
  });
  setTimeout(() => void sound.close(), 1500);
}
