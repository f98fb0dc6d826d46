import {
  type Static,
  type TObject,
  type TProperties,
  type TSchema,
  type TUndefined,
  Type,
} from "@sinclair/typebox";
import type { Role } from "@/core/people";

type Method = "GET" | "POST" | "PUT" | "DELETE";

/** Chapters of the readable page. */
export type Chapter =
  | "Engines"
  | "Jobs"
  | "Register"
  | "Own data"
  | "Store"
  | "Documents"
  | "Bringing in"
  | "Taking out"
  | "Papers"
  | "People"
  | "This installation";

/**
 * One route, declared once: from it come the handler, its reading of what is sent, its refusals, its typed client and
 * its description.
 */
export interface Contract<
  Params extends TObject = TObject,
  Query extends TObject = TObject,
  Body extends TSchema = TSchema,
  Answer extends TSchema = TSchema,
> {
  readonly id: string;
  readonly method: Method;
  readonly path: `/${string}`;
  readonly chapter: Chapter;
  readonly says: string;
  /** As what one has to have signed in, at least, where sign-in is needed; "nobody": whoever did not, too. */
  readonly role: Role | "nobody";
  /** Who may ask: anybody on this network, one of the crew, or one of the crew as soon as there is a crew. */
  readonly asker: "anybody" | "crew" | "crew-if-any";
  readonly params: Params;
  readonly query: Query;
  readonly body: Body | undefined;
  /** Media types of a body that is handed over as it came: no JSON, or JSON that a worker reads. */
  readonly takes: readonly string[] | undefined;
  /** What is in a body that a worker reads. */
  readonly describes: TSchema | undefined;
  readonly mostBytes: number;
  /** Whether its use case takes its turn to store itself; otherwise the handler does, where one of the crew has to ask. */
  readonly ownTurn: boolean;
  readonly answer: Answer;
  readonly status: number;
  /** Media type of an answer that is no JSON. */
  readonly gives: string | undefined;
  /** What can be refused, and when. */
  readonly refuses: Readonly<Record<number, string>>;
}

/** Largest body that is read unless a route says otherwise: 5 MB. */
export const MOST_BYTES = 5_000_000;

const NOTHING = Type.Object({}, { additionalProperties: false });
type Nothing = TObject<TProperties>;

export function contract<
  Answer extends TSchema,
  Params extends TObject = Nothing,
  Query extends TObject = Nothing,
  Body extends TSchema = TUndefined,
>(spec: {
  readonly id: string;
  readonly method: Method;
  readonly path: `/${string}`;
  readonly chapter: Chapter;
  readonly says: string;
  readonly role: Contract["role"];
  readonly asker?: Contract["asker"];
  readonly params?: Params;
  readonly query?: Query;
  readonly body?: Body;
  readonly takes?: readonly string[];
  readonly describes?: TSchema;
  readonly mostBytes?: number;
  readonly ownTurn?: boolean;
  readonly answer: Answer;
  readonly status?: number;
  readonly gives?: string;
  readonly refuses?: Readonly<Record<number, string>>;
}): Contract<Params, Query, Body, Answer> {
  return {
    ...spec,
    asker: spec.asker ?? "anybody",
    params: spec.params ?? (NOTHING as unknown as Params),
    query: spec.query ?? (NOTHING as unknown as Query),
    body: spec.body,
    takes: spec.takes,
    describes: spec.describes,
    mostBytes: spec.mostBytes ?? MOST_BYTES,
    ownTurn: spec.ownTurn ?? false,
    status: spec.status ?? 200,
    gives: spec.gives,
    refuses: spec.refuses ?? {},
  };
}

/** What is asked by a contract. */
export interface Ask<C extends Contract> {
  readonly params: Static<C["params"]>;
  readonly query: Static<C["query"]>;
  readonly body: C extends Contract<TObject, TObject, infer Body> ? Static<Body> : never;
}

export type AnswerTo<C extends Contract> = Static<C["answer"]>;

/** Read only all the way down: what a use case hands out stays its own. */
export type Frozen<T> = T extends readonly (infer Entry)[]
  ? readonly Frozen<Entry>[]
  : T extends object
    ? { readonly [Key in keyof T]: Frozen<T[Key]> }
    : T;

/** An answer that is worked out by an engine: its type is the engine's, its words say what is in it. */
export const answerOf = <T>(description: string) => Type.Unsafe<T>({ type: "object", description });
