import { ok } from "@/core/result";
import { calendarAnswer } from "@/edge/calendar";
import { ROUNDS_CALENDAR } from "@/edge/contracts/house-rounds";
import { originOf } from "@/edge/origin";
import { route } from "@/edge/route";
import { roundsCalendar } from "@/server/rounds/rounds-calendar";

export const GET = route(ROUNDS_CALENDAR, ({ query, services, request }) =>
  ok(calendarAnswer(roundsCalendar(services, query, originOf(request)), "loftbell-rounds.ics")),
);
