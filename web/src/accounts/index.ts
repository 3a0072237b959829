export { AccountMenu } from './account-menu.tsx';
export { SignInPage } from './sign-in-page.tsx';
