import type { Room } from '@/core/room/schema';

const WORDS: Readonly<Partial<Record<keyof Room, string>>> = {
  name: 'name',
  floor: 'floor',
  at: 'place',
  outline: 'walls',
  walls: 'walls',
  height: 'height',
  ceiling: 'ceiling',
  openings: 'openings',
  soffits: 'soffits',
  niches: 'niches',
  columns: 'columns',
  zones: 'tile and cabinets',
  beads: 'beads',
  existing: 'old walls',
  finish: 'levels and coverings',
  hang: 'boards',
  hung: 'as hung',
  method: 'how it is finished',
  mirrored: 'mirrored',
};

/** What a part of a room is called. */
export const partWords = (part: keyof Room): string => WORDS[part] ?? 'something small';
