import { computed, onScopeDispose, ref, watch } from 'vue';
import type { ResponseOf } from '@wergon/contract/routes';
import { jobsOnBoard, nearTasks } from '@wergon/core/floor';
import { useDesk } from '../../kit/index.ts';
import { floorMore } from '../floorMore.ts';
import { useFloor } from '../useFloor.ts';
import { jobsFor, jobsOf, nearFor, pagesOf, peopleOf, readAsked } from './wallPages.ts';

/** So long a page of the wall stands, in milliseconds. */
const TURN_MS = 15_000;

/** The floor for a big screen: pages that turn by themselves, filtered as its address says. */
export function useWall(kept: ResponseOf<'floor'> | undefined) {
  const desk = useDesk();
  const floor = useFloor(kept);
  const asked = readAsked(location.search);
  const details = computed(
    () => new Map((floor.query.data.value?.orderDetails ?? []).map((each) => [each.order, each])),
  );
  const people = computed(() =>
    floor.board.value
      ? peopleOf(floor.board.value, floor.lanes.value, floor.now.value, asked, details.value)
      : [],
  );
  const jobs = computed(() => jobsOf(people.value));
  const all = computed(() =>
    floor.board.value && asked.by === 'tasks'
      ? jobsFor(jobsOnBoard(floor.board.value, floor.now.value), asked, details.value)
      : [],
  );
  const near = computed(() =>
    floor.board.value && (asked.by === '' || asked.by === 'compare')
      ? nearFor(nearTasks(floor.board.value, floor.now.value), asked, details.value)
      : [],
  );
  const pages = computed(() =>
    pagesOf(
      { people: people.value, jobs: jobs.value, all: all.value, near: near.value },
      asked,
      desk.may('work.see'),
    ),
  );
  const place = ref(0);
  const timer = setInterval(() => (place.value += 1), TURN_MS);
  onScopeDispose(() => clearInterval(timer));
  watch(pages, ({ length }) => {
    if (length > 0) place.value %= length;
  });
  const page = computed(() => pages.value[place.value % Math.max(1, pages.value.length)]);
  const more = computed(() => floorMore(floor.query.data.value));
  return { ...floor, more, page, pages, place, jobs, asked };
}
