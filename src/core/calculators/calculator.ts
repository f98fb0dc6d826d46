import type { Result } from "../result";
import type {
  Calculator,
  CalculatorInput,
  CalculatorOutput,
  Given,
  Outcome,
  Refused,
  Say,
  TableDeclaration,
} from "./declaration";

declare const gives: unique symbol;

type Unnamed<Field> = Field extends unknown ? Omit<Field, "name"> : never;

/** An input before it is named, and what a calculation is given for it. */
export type Input<Value> = Unnamed<CalculatorInput> & { readonly [gives]?: Value };

/** An answer before it is named, and what a calculation has to give for it. */
export type Output<Value> = Unnamed<CalculatorOutput> & { readonly [gives]?: Value };

type Inputs = Readonly<Record<string, Input<unknown>>>;
type Outputs = Readonly<Record<string, Output<unknown>>>;
type Tables = Readonly<Record<string, { readonly title: string; readonly columns: Outputs }>>;

/** What a calculation is given for these inputs, by name. */
export type ValuesOf<I extends Inputs> = {
  readonly [Name in keyof I]: I[Name] extends Input<infer Value> ? Value : never;
};

type Row<O extends Outputs> = {
  readonly [Name in keyof O as O[Name] extends Output<infer Value>
    ? undefined extends Value
      ? never
      : Name
    : never]: O[Name] extends Output<infer Value> ? Value : never;
} & {
  readonly [Name in keyof O as O[Name] extends Output<infer Value>
    ? undefined extends Value
      ? Name
      : never
    : never]?: O[Name] extends Output<infer Value> ? Value | undefined : never;
};

/** What a calculation says, with every output and table it declares. */
export type OutcomeOf<O extends Outputs, T extends Tables> = Omit<Outcome, "outputs" | "tables"> & {
  readonly outputs: Row<O>;
} & ([keyof T] extends [never]
    ? object
    : { readonly tables: { readonly [Name in keyof T]: readonly Row<T[Name]["columns"]>[] } });

type Spec<I extends Inputs, O extends Outputs, T extends Tables> = Omit<
  Calculator,
  "inputs" | "outputs" | "tables" | "compute"
> & {
  readonly inputs: I;
  readonly outputs: O;
  readonly tables?: T;
  readonly compute: (given: ValuesOf<I>, say: Say) => Result<OutcomeOf<O, T>, Refused>;
};

/** One calculation. What it is given and has to give is known by the names, options and dimensions it declares. */
export function calculator<
  const I extends Inputs,
  const O extends Outputs,
  // biome-ignore lint/complexity/noBannedTypes: a calculation without tables has none by name
  const T extends Tables = {},
>(spec: Spec<I, O, T>): Calculator {
  const { inputs, outputs, tables, compute, ...rest } = spec;
  const columns = (declared: Outputs) => listed<CalculatorOutput>(declared);
  return {
    ...rest,
    inputs: listed<CalculatorInput>(inputs),
    outputs: columns(outputs),
    ...(tables !== undefined && {
      tables: Object.entries(tables).map(
        ([name, { title, columns: declared }]): TableDeclaration => ({
          name,
          title,
          columns: columns(declared),
        }),
      ),
    }),
    // What is read by the declaration has what the declaration says.
    compute: compute as (given: Given, say: Say) => Result<Outcome, Refused>,
  };
}

const listed = <Field>(fields: Readonly<Record<string, object>>): Field[] =>
  Object.entries(fields).map(([name, field]) => ({ name, ...field }) as Field);

type Numbered<N extends number | string> = Readonly<Record<string, (number: N) => Input<unknown>>>;

/** The same fields several times: "pitot1", "bore1", "pitot2", "bore2". */
export function numbered<const N extends number | string, F extends Numbered<N>>(
  numbers: readonly N[],
  fields: F,
): { readonly [Name in keyof F & string as `${Name}${N}`]: ReturnType<F[Name]> } {
  const all = numbers.flatMap((number) =>
    Object.entries(fields).map(([name, field]) => [`${name}${number}`, field(number)] as const),
  );
  return Object.fromEntries(all) as {
    readonly [Name in keyof F & string as `${Name}${N}`]: ReturnType<F[Name]>;
  };
}
