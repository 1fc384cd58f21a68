import { calls, deck, load, lookAlikes } from "#practice";
import { answering } from "./answering";

answering({ load, calls: { calls, deck, lookAlikes } });
