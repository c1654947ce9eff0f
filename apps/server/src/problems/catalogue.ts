/** Every error that can leave the server: declared together, told apart by `code`. */
export const PROBLEMS = {
  bad_request: { status: 400, title: 'The request could not be read' },
  not_signed_in: { status: 401, title: 'Please sign in' },
  wrong_credentials: { status: 401, title: 'E-mail or password is not right' },
  wrong_origin: { status: 403, title: 'The request came from another site' },
  wrong_host: { status: 403, title: 'This server does not go by that name' },
  not_in_demo: { status: 403, title: 'The demo home does not have this' },
  not_found: { status: 404, title: 'There is nothing here' },
  other_home: { status: 409, title: 'This browser is signed in to another home' },
  email_taken: { status: 409, title: 'There is an account with this e-mail already' },
  invitation_unusable: { status: 409, title: 'This invitation code cannot be used' },
  demo_not_loaded: { status: 404, title: 'The demo home is not loaded here' },
  too_large: { status: 413, title: 'The request is too large' },
  not_json: { status: 415, title: 'Only JSON is taken here' },
  not_a_picture: { status: 415, title: 'This is no picture that is taken here: JPEG, PNG or WebP' },
  home_not_empty: { status: 409, title: 'This home is not empty: what it has would be lost' },
  no_home_file: { status: 422, title: 'This is no home that can be read' },
  not_for_role: { status: 403, title: 'Your role in this home does not allow this' },
  other_picture: { status: 409, title: 'The picture is another one than its name says' },
  too_many: { status: 429, title: 'Too many tries; wait a minute' },
  internal: { status: 500, title: 'Something went wrong on the server' },
  unavailable: { status: 503, title: 'The server is busy with itself; try again in a moment' },
} as const;

export type ProblemCode = keyof typeof PROBLEMS;

export class ProblemError extends Error {
  constructor(
    readonly code: ProblemCode,
    readonly detail: string = PROBLEMS[code].title,
  ) {
    super(detail);
  }
}

/** RFC 9457. */
export const PROBLEM_TYPE = 'application/problem+json; charset=utf-8';
