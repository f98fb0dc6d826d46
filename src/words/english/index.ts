import { access } from "./access";
import { begin } from "./begin";
import { book } from "./book";
import { bring } from "./bring";
import { card } from "./card";
import { common } from "./common";
import { depth } from "./depth";
import { drawing } from "./drawing";
import { drawn } from "./drawn";
import { entries } from "./entries";
import { handling } from "./handling";
import { harms } from "./harms";
import { instruments } from "./instruments";
import { isolation } from "./isolation";
import { kits } from "./kits";
import { leave } from "./leave";
import { making } from "./making";
import { media } from "./media";
import { papers } from "./papers";
import { refusals } from "./refusals";
import { ringing } from "./ringing";
import { rounds } from "./rounds";
import { safety } from "./safety";
import { schools } from "./schools";
import { steps } from "./steps";
import { store } from "./store";
import { together } from "./together";
import { trends } from "./trends";
import { trouble } from "./trouble";

/** All that a job says, in English. */
export const english = {
  access,
  begin,
  book,
  bring,
  card,
  common,
  depth,
  drawing,
  drawn,
  entries,
  handling,
  harms,
  instruments,
  isolation,
  kits,
  making,
  media,
  papers,
  refusals,
  ringing,
  leave,
  rounds,
  together,
  safety,
  schools,
  steps,
  store,
  trends,
  trouble,
};
