import { ok } from "@/core/result";
import { calendarAnswer } from "@/edge/calendar";
import { CALENDAR } from "@/edge/contracts/taking-out";
import { originOf } from "@/edge/origin";
import { route } from "@/edge/route";
import { calendarOf } from "@/server/lists/calendar";

export const GET = route(CALENDAR, ({ query, services, request }) =>
  ok(calendarAnswer(calendarOf(services, query, originOf(request)), "loftbell.ics")),
);
