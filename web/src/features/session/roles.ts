/** What somebody is in a gym, the one who may do most first. */
export const ROLES = ["owner", "instructor", "assistant", "student"] as const;

const TITLE: Record<string, string> = {
  owner: "Owner",
  instructor: "Instructor",
  assistant: "Assistant",
  student: "Student",
};

export const ROLE_ABOUT: Record<string, string> = {
  owner: "answers for the gym and does everything an instructor does",
  instructor: "makes the maps, keeps drills, knows about injuries",
  assistant: "reads every map and drill, changes nothing, is told of nobody’s health",
  student: "reads what is shared with students, and trains the eyes",
};

/** A role as it is called on screen. */
export function roleTitle(role: string): string {
  return TITLE[role] ?? role;
}
