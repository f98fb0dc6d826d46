import { Path, Svg } from "@react-pdf/renderer";
import { codePath } from "./code-path";

/** A code that opens an address. @param side pt, its quiet ground counted */
export function Code({ opens, side }: { opens: string; side: number }) {
  const { path, size } = codePath(opens);
  return (
    <Svg viewBox={`0 0 ${size} ${size}`} style={{ width: side, height: side }}>
      <Path d={path} fill="#000000" />
    </Svg>
  );
}
