// The layout library's own worker code answers its messages once it is loaded here.
import "elkjs/lib/elk-worker.min.js";
