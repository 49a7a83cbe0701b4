import { BaseSequencer, type TestSpecification } from "vitest/node";

/** Files of tests that take longest, by what they run: with one of them begun last, the other processor would wait. */
const slowest =
  /(?:patternExamples|hostileLanguages|basicMacro|kills|policies|conformance|search|twinOf|changes|isolation|languages|recorders|expressions|cli|named|planPages|backup|hosted|hostile|start)\.test\.ts$/;
const rank = ({ moduleId }: TestSpecification) => (slowest.test(moduleId) ? 0 : moduleId.includes("/core/") ? 2 : 1);

/** The order of the files of tests: the slowest first, then those that run programs, then those of the computation. */
export class SlowFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const sorted = await super.sort(files);
    return sorted.toSorted((one, other) => rank(one) - rank(other));
  }
}
