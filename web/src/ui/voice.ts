export function canSpeak(): boolean {
  return "speechSynthesis" in globalThis && "SpeechSynthesisUtterance" in globalThis;
}

/** Says it, instead of what is being said; `done` is called when it has been said to the end. */
export function say(word: string, done?: () => void): void {
  if (!canSpeak()) return;
  speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(word);
  if (done) said.onend = done;
  speechSynthesis.speak(said);
}

export function sayNoMore(): void {
  if (canSpeak()) speechSynthesis.cancel();
}
