export { Avatar } from './avatars.tsx';
export { DealTeams } from './deal-teams.tsx';
export { useSaveRoster } from './use-save-roster.ts';
