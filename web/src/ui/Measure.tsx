import { Slider } from "radix-ui";
import { useId } from "react";

/** A slider with its name, its value in words and the number behind it. */
export function Measure({
  label,
  value,
  words,
  min,
  max,
  step,
  onChange,
}: {
  label: string;
  value: number;
  words: string;
  min: number;
  max: number;
  step: number;
  onChange: (value: number) => void;
}) {
  const id = useId();
  return (
    <div className="flex min-w-0 items-center gap-3">
      <div className="min-w-0 shrink-0 whitespace-nowrap max-lg:w-40 lg:w-[126px]">
        <div id={id} className="text-quiet">
          {label}
        </div>
        <div className="font-semibold">{words}</div>
      </div>
      <Slider.Root
        className="relative flex h-11 w-full min-w-12 touch-none items-center lg:h-9 lg:max-w-40"
        value={[value]}
        min={min}
        max={max}
        step={step}
        onValueChange={([next]) => next !== undefined && onChange(next)}
      >
        <Slider.Track className="relative h-1 w-full grow bg-rule">
          <Slider.Range className="absolute h-full bg-quiet" />
        </Slider.Track>
        <Slider.Thumb
          aria-labelledby={id}
          aria-valuetext={words}
          className="block h-6 w-3 bg-ink lg:h-[18px] lg:w-2"
        />
      </Slider.Root>
    </div>
  );
}
