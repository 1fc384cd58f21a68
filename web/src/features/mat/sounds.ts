import { useEffect, useRef } from "react";
import { say } from "../../ui/voice";
import { calledIn, hereIn, notchAt, type Mat } from "./clock";

/** What is heard when: long for the beginning of a round, two for its end, short while it is counted in and ten seconds before the end. */
type Sound = "begin" | "end" | "tick";

let context: AudioContext | undefined;

/** Lets sounds be made; a browser asks for a press before. */
export function unlockSound(): void {
  if (!("AudioContext" in globalThis)) return;
  context ??= new AudioContext();
  void context.resume();
}

function tone(at: number, pitch: number, seconds: number): void {
  const audio = context!;
  const oscillator = audio.createOscillator();
  const gain = audio.createGain();
  oscillator.frequency.value = pitch;
  gain.gain.setValueAtTime(0.0001, at);
  gain.gain.exponentialRampToValueAtTime(0.5, at + 0.01);
  gain.gain.setValueAtTime(0.5, at + seconds - 0.05);
  gain.gain.exponentialRampToValueAtTime(0.0001, at + seconds);
  oscillator.connect(gain).connect(audio.destination);
  oscillator.start(at);
  oscillator.stop(at + seconds);
}

function play(sound: Sound): void {
  if (!context || context.state !== "running") return;
  const now = context.currentTime;
  if (sound === "tick") tone(now, 880, 0.12);
  if (sound === "begin") tone(now, 660, 0.8);
  if (sound === "end") {
    tone(now, 440, 0.35);
    tone(now + 0.45, 440, 0.35);
  }
}

const COUNTED_IN = 3;
const SOON_OVER = 10;

/** What is heard at a moment, told by a word that changes whenever something is to be heard again. */
export function heardAt(mat: Mat): { key: string; sound: Sound } | undefined {
  if (mat.state !== "running") return undefined;
  const { step } = hereIn(mat);
  const left = Math.ceil(mat.left / 1000);
  if (step.kind === "change") {
    const begins = mat.ran < 1000 && `${step.number} end`;
    if (begins) return { key: begins, sound: "end" };
    return left <= COUNTED_IN && left > 0 ? { key: `${step.number} ${left}`, sound: "tick" } : undefined;
  }
  if (step.kind === "round" || step.kind === "move") {
    if (mat.ran < 1000) return { key: `${step.number} begin`, sound: "begin" };
    const notch = notchAt(step, mat.ran);
    if (notch !== undefined && notch > 1 && notchAt(step, mat.ran - 1000) !== notch)
      return { key: `${step.number} notch ${notch}`, sound: "tick" };
    return left === SOON_OVER ? { key: `${step.number} soon`, sound: "tick" } : undefined;
  }
  return mat.ran < 1000 ? { key: `${step.number} end`, sound: "end" } : undefined;
}

/** What is said at a moment: the call, or the notch of a dial. */
export function saidAt(mat: Mat): { key: string; words: string } | undefined {
  if (mat.state !== "running") return undefined;
  const { part, step } = hereIn(mat);
  const notch = notchAt(step, mat.ran);
  if (notch !== undefined) return { key: `${step.number} notch ${notch}`, words: `Notch ${notch}. Ask.` };
  const call = calledIn(step, mat.ran);
  const words = call && part.answers[call.answer]?.call;
  return words ? { key: `${step.number} ${call.number}`, words } : undefined;
}

/** Makes the sounds of a class, and speaks its calls where the machine has a voice. */
export function useSounds(mat: Mat, sound: boolean, voice: boolean): void {
  const last = useRef<{ heard?: string; said?: string }>({});
  const heard = heardAt(mat);
  const said = saidAt(mat);
  useEffect(() => {
    if (heard && heard.key !== last.current.heard) {
      last.current.heard = heard.key;
      if (sound) play(heard.sound);
    }
  }, [heard, sound]);
  useEffect(() => {
    if (said && said.key !== last.current.said) {
      last.current.said = said.key;
      if (voice) say(said.words);
    }
  }, [said, voice]);
}
