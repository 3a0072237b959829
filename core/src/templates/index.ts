export { STARTING_TEMPLATES, type StartingTemplate } from './starting-templates.ts';
