import type { Act } from "./act";
import type { ActRule } from "./act-rule";
import { agree } from "./acts/agree";
import { blank } from "./acts/blank";
import { bring } from "./acts/bring";
import { cap } from "./acts/cap";
import { charge } from "./acts/charge";
import { confirm } from "./acts/confirm";
import { countTheTray } from "./acts/count-the-tray";
import { crack } from "./acts/crack";
import { drain } from "./acts/drain";
import { evacuate } from "./acts/evacuate";
import { expect } from "./acts/expect";
import { letGoOfStored } from "./acts/let-go-of-stored";
import { letLiquidOut } from "./acts/let-liquid-out";
import { lock } from "./acts/lock";
import { look } from "./acts/look";
import { makeReady } from "./acts/make-ready";
import { move } from "./acts/move";
import { note } from "./acts/note";
import { open } from "./acts/open";
import { openByHand } from "./acts/open-by-hand";
import { openPoint } from "./acts/open-point";
import { othersOpen } from "./acts/others-open";
import { protect } from "./acts/protect";
import { proveDead } from "./acts/prove-dead";
import { pumpDown } from "./acts/pump-down";
import { putOn } from "./acts/put-on";
import { readAbove } from "./acts/read-above";
import { readZero } from "./acts/read-zero";
import { release } from "./acts/release";
import { shut } from "./acts/shut";
import { shutByHand } from "./acts/shut-by-hand";
import { shutPoint } from "./acts/shut-point";
import { sign } from "./acts/sign";
import { startPump } from "./acts/start-pump";
import { stopPump } from "./acts/stop-pump";
import { switchOff } from "./acts/switch-off";
import { switchOn } from "./acts/switch-on";
import { tag } from "./acts/tag";
import { takeOff } from "./acts/take-off";
import { tell } from "./acts/tell";
import { tellBack } from "./acts/tell-back";
import { test } from "./acts/test";
import { tighten } from "./acts/tighten";
import { turn } from "./acts/turn";
import { unblank } from "./acts/unblank";
import { uncap } from "./acts/uncap";
import { unlock } from "./acts/unlock";
import { wait } from "./acts/wait";
import { workOn } from "./acts/work-on";
import type { Harm } from "./harm";
import type { World } from "./world";

/** Every kind of act with its rule: a kind without one does not compile. */
const RULES: { readonly [K in Act["do"]]: ActRule<K> } = {
  shut,
  open,
  "switch-off": switchOff,
  "switch-on": switchOn,
  turn,
  uncap,
  cap,
  lock,
  unlock,
  "stop-pump": stopPump,
  "start-pump": startPump,
  "open-point": openPoint,
  "shut-point": shutPoint,
  drain,
  "pump-down": pumpDown,
  "let-liquid-out": letLiquidOut,
  evacuate,
  charge,
  "read-above": readAbove,
  expect,
  "others-open": othersOpen,
  release,
  "let-go-of-stored": letGoOfStored,
  wait,
  "read-zero": readZero,
  "prove-dead": proveDead,
  tell,
  "tell-back": tellBack,
  agree,
  sign,
  tag,
  look,
  test,
  note,
  confirm,
  protect,
  bring,
  move,
  crack,
  "take-off": takeOff,
  blank,
  unblank,
  "put-on": putOn,
  tighten,
  "work-on": workOn,
  "count-the-tray": countTheTray,
  "make-ready": makeReady,
  "shut-by-hand": shutByHand,
  "open-by-hand": openByHand,
};

export const ACT_KINDS = Object.keys(RULES) as Act["do"][];

/** Does one act: the world stands as it leaves it. @returns what goes wrong with it, as things stood */
export function perform(world: World, act: Act): Harm[] {
  const { harms, effect } = RULES[act.do] as ActRule<Act["do"]>;
  const before = world.harms.length;
  for (const harm of harms?.(world, act) ?? []) world.hurt(harm);
  effect(world, act);
  return world.harms.slice(before);
}
