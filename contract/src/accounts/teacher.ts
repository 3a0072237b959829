import { IsEmail, IsString, Length, MaxLength } from 'class-validator';
import { IsZone, Trimmed, type Id } from '../shared/index.ts';

/** Opens an account for a teacher. */
export class RegisterRequest {
  @Trimmed()
  @MaxLength(254)
  @IsEmail({}, { message: 'Give an e-mail address such as name@example.org.' })
  email: string;

  @Trimmed()
  @Length(1, 60, { message: 'Give the name students know you by, up to 60 characters.' })
  displayName: string;

  @IsString()
  @Length(10, 200, { message: 'Choose a password of at least 10 characters.' })
  password: string;

  @IsZone()
  timeZone: string;
}

/** Signs a teacher in. */
export class SignInRequest {
  @Trimmed()
  @IsEmail({}, { message: 'Give the e-mail address of your account.' })
  @MaxLength(254)
  email: string;

  @IsString()
  @Length(1, 200, { message: 'Give your password.' })
  password: string;
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
