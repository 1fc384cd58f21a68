/** Chooses a file to look at. */
export function FileField({ accept, onChoose }: { accept: string; onChoose: (file: File) => void }) {
  return (
    <label className="block max-w-md">
      <span className="font-semibold">File</span>
      <input
        className="box mt-0.5"
        type="file"
        accept={accept}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          if (chosen) onChoose(chosen);
        }}
      />
    </label>
  );
}
