export { type Bring, type Brought, bring, type Departure, type Lack } from "./bring";
