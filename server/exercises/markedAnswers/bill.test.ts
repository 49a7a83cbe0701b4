import { bill } from "./bill.ts";
import { testMarked } from "./testMarked.ts";

testMarked(bill);
