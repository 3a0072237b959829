export { STARTING_TEMPLATES } from './starting-templates.ts';
export { planFromTemplate, type StartingTemplate } from './template.ts';
