/** What hangers can aim for, in the order in which one is preferred where they come out the same. */
export const AIMS = ['joints', 'boards', 'waste'] as const;

/** What covers a stretch of wall so that nothing is finished behind it. */
export const COVERS = ['tile', 'trim', 'cabinet'] as const;

/** What stands on outside corners, and on free edges: L and J trim. "none" leaves an edge alone. */
export const BEAD_PROFILES = ['square', 'paper', 'vinyl', 'bullnose', 'flexible', 'arch'] as const;
export const TRIM_PROFILES = ['L', 'J'] as const;
/** What is cut from sticks. */
export const STICK_PROFILES = [...BEAD_PROFILES, ...TRIM_PROFILES] as const;
export const EDGE_PROFILES = [...BEAD_PROFILES, ...TRIM_PROFILES, 'none'] as const;
export type EdgeProfile = (typeof EDGE_PROFILES)[number];

/** What will cover the wall, and what lights it: together they decide the level. */
export const SURFACES = ['flat paint', 'gloss', 'fine texture', 'heavy texture', 'paper', 'tile'] as const;
export const LIGHTS = ['ordinary', 'low sun', 'cove', 'lamp along the wall'] as const;

/** Every kind of joint that is finished, in the order in which it is listed. */
export const JOINT_CLASSES = [
  'flat',
  'butt',
  'backedButt',
  'mixed',
  'angle',
  'offAngle',
  'bead',
  'trim',
  'existing',
] as const;

/** The highest number of an id of a part; no room is edited so often. */
export const MOST_GIVEN = 999_999;
/** Characters of what is noted of a room. */
export const MOST_NOTE = 300;
