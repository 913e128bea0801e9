/** Chooses a file; the same one may be chosen again. */
export function FileField({
  label,
  accept,
  disabled,
  onFile,
  className = '',
}: {
  readonly label: string;
  readonly accept: string;
  readonly disabled: boolean;
  readonly onFile: (file: File) => void;
  readonly className?: string;
}) {
  return (
    <label className={`block ${className}`}>
      <span className="mb-1 block text-sm font-semibold">{label}</span>
      <input
        type="file"
        accept={accept}
        className="file-input w-full"
        disabled={disabled}
        onChange={({ target }) => {
          const file = target.files?.[0];
          if (file) onFile(file);
          target.value = '';
        }}
      />
    </label>
  );
}
