/** A length that is set by hand, with its words. */
export function Slider({
  label,
  words,
  onChange,
  ...range
}: {
  readonly label: string;
  readonly words: string;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly value: number;
  readonly onChange: (value: number) => void;
}) {
  return (
    <label className="block text-sm">
      <span className="flex justify-between gap-3">
        <span className="font-semibold">{label}</span> <span>{words}</span>
      </span>
      <input
        type="range"
        className="range range-primary range-sm mt-1 w-full"
        aria-valuetext={words}
        {...range}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </label>
  );
}
