import type { ReactNode } from "react";
import type { Grade, Rubric } from "@/core/formats";
import { Wear } from "../draw/wear";

/** An answer with the picture of how worn it is, where the sheet grades it. */
export const pictured = <
  O extends { readonly id: string; readonly label: string; readonly grade?: Grade; readonly rubric?: Rubric },
>(
  rubric: Rubric | undefined,
  option: O,
): O & { readonly picture?: ReactNode } =>
  rubric === undefined || option.grade === undefined
    ? option
    : { ...option, picture: <Wear rubric={option.rubric ?? rubric} grade={option.grade} /> };
