import { IsEmail, IsOptional, IsString, Length, MaxLength } from 'class-validator';
import {
  type Id,
  type Instant,
  IsZone,
  LEAST_PASSWORD,
  MOST_PASSWORD,
  Note,
  ShortText,
} from '../shared/index.ts';

/** Opens an account for a teacher. */
export class RegisterRequest {
  @Note(254) @IsEmail({}, { message: 'Give an e-mail address such as name@example.org.' }) email: string;
  @ShortText(60, 'Give the name students know you by,') displayName: string;

  @IsString()
  @Length(LEAST_PASSWORD, MOST_PASSWORD, {
    message: `Choose a password of at least ${LEAST_PASSWORD} characters.`,
  })
  password: string;

  @IsZone() timeZone: string;

  /** Asked for where accounts are opened by invitation. */
  @IsOptional() @IsString() @MaxLength(200) invitation?: string;
}

/** Who may open an account: whoever reaches the server, whoever has its invitation, or nobody. */
export const REGISTRATIONS = ['open', 'invitation', 'closed'] as const;
export type Registration = (typeof REGISTRATIONS)[number];

/** How an account is opened here. */
export interface RegistrationView {
  registration: Registration;
}

/** Signs a teacher in. */
export class SignInRequest {
  @Note(254) @IsEmail({}, { message: 'Give the e-mail address of your account.' }) email: string;
  @IsString() @Length(1, 200, { message: 'Give your password.' }) password: string;
}

/** Sets another password. */
export class PasswordRequest {
  @IsString() @Length(1, MOST_PASSWORD, { message: 'Give your password.' }) current: string;

  @IsString()
  @Length(LEAST_PASSWORD, MOST_PASSWORD, {
    message: `Choose a password of at least ${LEAST_PASSWORD} characters.`,
  })
  password: string;
}

/** Gives the password once more, before something that cannot be taken back. */
export class ConfirmRequest {
  @IsString() @Length(1, MOST_PASSWORD, { message: 'Give your password.' }) password: string;
}

/** A sign-in that goes on. */
export interface SessionView {
  id: Id;
  /** The browser and system; empty where they are not known. */
  device: string;
  createdAt: Instant;
  lastSeenAt: Instant;
  /** True for the one that asks. */
  isThis: boolean;
}

/** Who is signed in. */
export interface TeacherView {
  id: Id;
  email: string;
  displayName: string;
  timeZone: string;
  /** True for the teacher of the made-up school. */
  isDemo: boolean;
}
