import type { EditFact } from "@/core/formats";
import { unreachable } from "@/core/result";
import type { Speaker } from "./speaker";

/** What somebody did to the own data. */
export function editSays({ say: { book } }: Speaker, what: EditFact): string {
  switch (what.kind) {
    case "import":
      return book.imported(what.files);
    case "added":
      return book.added(book.things[what.thing], what.ids);
    case "changed":
      return book.changed(book.things[what.thing], what.ids);
    case "removed":
      return book.removed(book.things[what.thing], what.ids);
    case "restored":
      return book.restored(what.backup);
    case "renamed":
      return book.renamed(book.things[what.thing], what.from, what.to);
    case "retired":
      return book.retired(what.ids);
    case "brought-back":
      return book.broughtBack(what.ids);
    case "reported":
      return book.reported(what.ids);
    default:
      return unreachable(what);
  }
}
