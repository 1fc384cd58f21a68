import { describe, expect, it } from "vitest";
import { clockAfter, isoDay, later } from "./days";

describe("days and times of a class", () => {
  it("goes on over the end of a month, a year and a leap day", () => {
    expect(later("2026-11-27", 7)).toBe("2026-12-04");
    expect(later("2026-12-31", 1)).toBe("2027-01-01");
    expect(later("2028-02-28", 1)).toBe("2028-02-29");
    expect(later("2026-11-27", -14)).toBe("2026-11-13");
  });
  it("takes the day of the clock on the wall", () => {
    expect(isoDay(new Date(2026, 0, 5, 23, 59))).toBe("2026-01-05");
  });
  it("tells the time after some minutes, past midnight too", () => {
    expect(clockAfter("19:30", 0)).toBe("19:30");
    expect(clockAfter("19:30", 43)).toBe("20:13");
    expect(clockAfter("23:45", 30)).toBe("00:15");
  });
});
