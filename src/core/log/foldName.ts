/**
 * A name as it is compared: written large or small, put together or in parts, it is the same name. The one place that
 * decides so, for what is stored and for what is typed.
 *
 * @example foldName('İPEK ') === foldName('İpek')
 */
export const foldName = (name: string): string =>
  // By way of capitals: some small letters have two forms.
  name.normalize('NFKC').trim().toUpperCase().toLowerCase().normalize('NFKC');
