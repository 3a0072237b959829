/** The teacher of the made-up school. */
export const DEMO_TEACHER = {
  displayName: 'Ms Tansy Holloway',
  timeZone: 'UTC',
} as const;

/** Address that the demo teacher signs in with; the password is made on each machine. */
export const DEMO_EMAIL = 'tansy.holloway@fernhollow.example';

/** The class of the made-up school: display names only, dealt to the three teams in turn. */
export const DEMO_CLASS = {
  name: 'Class 5b',
  readingLevel: '8-10',
  meetingDays: [1, 2, 3, 4, 5],
  holidays: [],
} as const;

/** Its teams, by the names that readings carry. */
export const DEMO_TEAMS = ['Team Otter', 'Team Heron', 'Team Badger'] as const;

/** Its students with their pictures. */
export const DEMO_STUDENTS = [
  ['Arlo', 'snail'],
  ['Bea', 'bird'],
  ['Cosmo', 'fish'],
  ['Daria', 'rabbit'],
  ['Ezra', 'turtle'],
  ['Fenna', 'squirrel'],
  ['Gil', 'cat'],
  ['Hana', 'dog'],
  ['Ines', 'bug'],
  ['Juno', 'worm'],
  ['Kofi', 'apple'],
  ['Lumi', 'cherry'],
  ['Milo', 'carrot'],
  ['Nuri', 'grape'],
  ['Ottilie', 'nut'],
] as const;
