/** Every error code of the API with its HTTP status. */
export const ERROR_STATUS = {
  bad_request: 400,
  invalid_fields: 400,
  not_json: 415,
  not_signed_in: 401,
  not_joined: 401,
  confirm_password: 403,
  see_only: 403,
  owner_only: 403,
  goes_with_class: 409,
  registration_closed: 403,
  wrong_sign_in: 401,
  wrong_code: 404,
  wrong_invitation: 404,
  own_invitation: 409,
  no_student: 409,
  wrong_pin: 403,
  day_closed: 409,
  vote_closed: 409,
  not_a_picture: 422,
  cross_site: 403,
  not_found: 404,
  email_taken: 409,
  changed_elsewhere: 409,
  id_in_use: 409,
  already_corrected: 409,
  already_planted: 409,
  not_planted: 409,
  readings_exist: 409,
  experiment_finished: 409,
  guessing_closed: 409,
  place_taken: 409,
  unreadable_file: 422,
  too_large: 413,
  upload_incomplete: 409,
  too_many_tries: 429,
  server_error: 500,
  database_unavailable: 503,
  storage_full: 507,
  too_busy: 503,
  took_too_long: 422,
} as const;

/** One of the codes in {@link ERROR_STATUS}. */
export type ErrorCode = keyof typeof ERROR_STATUS;

/** A field of a request that was refused, and how to mend it. */
export interface FieldProblem {
  readonly field: string;
  readonly message: string;
}

/** A row of a file that was refused. */
export interface FileRowProblem {
  readonly row: number;
  readonly column: string;
  readonly found: string;
  readonly expected: string;
}

/** The body of every answer that is not a success. */
export interface ErrorBody {
  readonly code: ErrorCode;
  /** What happened and what to do, for a reader. */
  readonly message: string;
  readonly fields: readonly FieldProblem[];
  /** Rows refused, when a file was sent; at most 200 of them. */
  readonly rows?: readonly FileRowProblem[];
  /** How many rows were refused in all. */
  readonly rowCount?: number;
}
