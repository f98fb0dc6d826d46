import { Type } from "@sinclair/typebox";
import { ROLES } from "@/core/people";
import { answerOf, contract } from "../contract";

const closed = { additionalProperties: false };
const Name = Type.String({ minLength: 1, maxLength: 80 });
const Secret = Type.String({ minLength: 1, maxLength: 300 });
const Code = Type.String({ minLength: 1, maxLength: 40 });
const Key = Type.String({ minLength: 1, maxLength: 400 });
const Shared = Type.Optional(
  Type.Boolean({ description: "Several people use this device: it lets go after twelve hours." }),
);
const RoleName = Type.Union(ROLES.map((each) => Type.Literal(each)));
const Done = Type.Null();
const CameIn = Type.Object(
  { name: Type.String() },
  { ...closed, description: "Who came in; the session is a cookie." },
);

const LET_IN = {
  401: "Not let in, and what to do.",
  429: "Too often wrong: for how long.",
} as const;

const signIn = {
  method: "POST",
  chapter: "People",
  role: "nobody",
  answer: CameIn,
  refuses: LET_IN,
} as const;

export const SIGN_IN = contract({
  ...signIn,
  id: "signIn",
  path: "/api/v1/sign-in",
  says: "Comes in by name and password. Five wrong ones lock the name for a quarter of an hour.",
  body: Type.Object({ name: Name, password: Secret, shared: Shared }, closed),
});

export const SIGN_IN_BY_PIN = contract({
  ...signIn,
  id: "signInByPin",
  path: "/api/v1/sign-in/pin",
  says: "Comes in by a PIN, on a device this person signed in on before. Five wrong ones take the PIN away.",
  body: Type.Object({ person: Key, pin: Secret }, closed),
});

export const SIGN_IN_BY_CODE = contract({
  ...signIn,
  id: "signInByCode",
  path: "/api/v1/sign-in/code",
  says: "Comes in by the code a keeper gave, once, and chooses a password.",
  body: Type.Object({ name: Name, code: Code, password: Secret, shared: Shared }, closed),
});

export const FIRST_KEEPER = contract({
  ...signIn,
  id: "firstKeeper",
  path: "/api/v1/sign-in/first",
  says: "The first keeper comes in, by the code that the server wrote where it was started.",
  body: Type.Object({ name: Name, code: Code, password: Secret, shared: Shared }, closed),
});

/** What a browser made with its authenticator, as its own interface gives it (WebAuthn). */
const Authenticated = Type.Unsafe<never>({
  type: "object",
  description: "As the browser's WebAuthn gives it.",
});

export const PASSKEY_TO_USE = contract({
  id: "passkeyToUse",
  method: "POST",
  path: "/api/v1/sign-in/passkey/options",
  chapter: "People",
  role: "nobody",
  says: "What a browser needs to sign in by a passkey.",
  body: Type.Object({}, closed),
  answer: answerOf<object>("PublicKeyCredentialRequestOptions as JSON."),
});

export const SIGN_IN_BY_PASSKEY = contract({
  ...signIn,
  id: "signInByPasskey",
  path: "/api/v1/sign-in/passkey",
  says: "Comes in by a passkey.",
  body: Type.Object({ answer: Authenticated, shared: Shared }, closed),
});

/** What everybody does with what is one's own. */
const mine = { chapter: "People", role: "reader", status: 204, answer: Done } as const;

export const SIGN_OUT = contract({
  ...mine,
  id: "signOut",
  method: "POST",
  path: "/api/v1/sign-out",
  says: "Ends this session. What waits on the device to be sent stays there.",
  body: Type.Object({}, closed),
});

export const SET_PIN = contract({
  ...mine,
  id: "setPin",
  method: "PUT",
  path: "/api/v1/me/pin",
  says: "A PIN for whoever is signed in, on this device.",
  body: Type.Object({ pin: Secret }, closed),
  refuses: { 422: "What is wrong with it." },
});

export const CHANGE_PASSWORD = contract({
  ...mine,
  id: "changePassword",
  method: "PUT",
  path: "/api/v1/me/password",
  says: "Another password; everywhere else this person is signed out.",
  body: Type.Object({ old: Secret, password: Secret }, closed),
  refuses: { ...LET_IN, 422: "What is wrong with it." },
});

export const PASSKEY_TO_MAKE = contract({
  id: "passkeyToMake",
  method: "POST",
  path: "/api/v1/me/passkeys/options",
  chapter: "People",
  role: "reader",
  says: "What a browser needs to make a passkey.",
  body: Type.Object({}, closed),
  answer: answerOf<object>("PublicKeyCredentialCreationOptions as JSON."),
});

export const KEEP_PASSKEY = contract({
  ...mine,
  id: "keepPasskey",
  method: "POST",
  path: "/api/v1/me/passkeys",
  says: "Keeps a passkey that the browser made.",
  body: Type.Object({ name: Name, answer: Authenticated }, closed),
  refuses: { 422: "It was not taken." },
});

export const REMOVE_PASSKEY = contract({
  ...mine,
  id: "removePasskey",
  method: "DELETE",
  path: "/api/v1/me/passkeys/{id}",
  says: "Takes a passkey of one's own away.",
  params: Type.Object({ id: Key }, closed),
  refuses: { 404: "It is not here." },
});

export const END_SESSION = contract({
  ...mine,
  id: "endSession",
  method: "DELETE",
  path: "/api/v1/sessions/{id}",
  says: "Signs out elsewhere: one's own session, or, for a keeper, anybody's.",
  params: Type.Object({ id: Key }, closed),
  refuses: { 403: "It is somebody else's.", 404: "It ended already." },
});

const HandedCode = Type.Object(
  {
    code: Type.Optional(Type.String({ description: "To be handed over now: it is not shown again." })),
    until: Type.Optional(Type.Integer({ description: "ms" })),
  },
  closed,
);

export const GIVE_ROLE = contract({
  id: "giveRole",
  method: "PUT",
  path: "/api/v1/accounts/{person}",
  chapter: "People",
  role: "keeper",
  says: "Lets one of the crew in, or as something else. Who is let in for the first time gets a code.",
  asker: "crew",
  params: Type.Object({ person: Key }, closed),
  body: Type.Object({ role: RoleName }, closed),
  answer: HandedCode,
  refuses: { 422: "Why not: the last keeper stays one." },
});

export const MAKE_CODE = contract({
  id: "makeCode",
  method: "POST",
  path: "/api/v1/accounts/{person}/code",
  chapter: "People",
  role: "keeper",
  says: "A new code for somebody who forgot the password; good once, for three days.",
  asker: "crew",
  params: Type.Object({ person: Key }, closed),
  body: Type.Object({}, closed),
  answer: HandedCode,
  refuses: { 422: "There is no such account." },
});

export const TAKE_ACCOUNT = contract({
  id: "takeAccount",
  method: "DELETE",
  path: "/api/v1/accounts/{person}",
  chapter: "People",
  role: "keeper",
  says: "Lets somebody in no more, at once and everywhere. What this person did stays.",
  asker: "crew",
  params: Type.Object({ person: Key }, closed),
  status: 204,
  answer: Done,
  refuses: { 422: "Why not: the last keeper stays." },
});

export const SWITCH_SIGN_IN = contract({
  id: "switchSignIn",
  method: "PUT",
  path: "/api/v1/sign-in-needed",
  chapter: "People",
  role: "keeper",
  says: "Whether one has to sign in on this machine, too. Whoever switches it on first is the first keeper. Beyond this machine it is always on.",
  asker: "crew",
  body: Type.Object({ on: Type.Boolean(), password: Type.Optional(Secret) }, closed),
  status: 204,
  answer: Done,
  refuses: { 422: "What is wrong, and why it stays on." },
});

export const ACCESS_LOG = contract({
  id: "accessLog",
  method: "GET",
  path: "/api/v1/export/access.csv",
  chapter: "People",
  role: "keeper",
  says: "Who came in, who was refused, who let whom in: as CSV, the newest first.",
  answer: Type.String(),
  gives: "text/csv",
});

export const PEOPLE_ROUTES = [
  SIGN_IN,
  SIGN_IN_BY_PIN,
  SIGN_IN_BY_CODE,
  FIRST_KEEPER,
  PASSKEY_TO_USE,
  SIGN_IN_BY_PASSKEY,
  SIGN_OUT,
  SET_PIN,
  CHANGE_PASSWORD,
  PASSKEY_TO_MAKE,
  KEEP_PASSKEY,
  REMOVE_PASSKEY,
  END_SESSION,
  GIVE_ROLE,
  MAKE_CODE,
  TAKE_ACCOUNT,
  SWITCH_SIGN_IN,
  ACCESS_LOG,
];
