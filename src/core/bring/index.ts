export { type Bring, type Brought, bring, type Departure } from "./bring";
