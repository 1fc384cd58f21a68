import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { useMap } from "../map";
import { SettingLine, useOverview, useQuestions, useReview } from "../odds";
import { Questions } from "../question";
import { Holes } from "./Holes";

/** What the map does not answer yet: what was asked on the mat, and what it lacks by its own arithmetic. */
export function HolesPage() {
  const map = useMap();
  const review = useReview(map.data);
  const questions = useQuestions(map.data);
  const odds = useOverview(map.data);
  const ready = together({ map, review, questions, odds });
  if (!ready.data) return <Waiting what="Looking for holes" on={ready} />;
  const data = ready.data;
  return (
    <main className="px-5 pt-2 pb-12">
      <SettingLine map={data.map} />
      <Heading className="mt-2">Holes and questions</Heading>
      <Questions map={data.map} questions={data.questions} start={data.odds.start} />
      <Holes map={data.map} findings={data.review} />
    </main>
  );
}
