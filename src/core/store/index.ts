export { chooseKits, type KitChoice, type Leftover, type Pick } from "./kit-choice";
