export { Avatar } from './avatars.tsx';
