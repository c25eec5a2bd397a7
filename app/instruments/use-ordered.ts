import { changeOf } from "../../core/job/index.ts";
import { useJob } from "./job-context.tsx";
import { useSubmit } from "./use-submit.ts";

/** A list of the job that is kept by id and order: one thing more at its end, one taken out. */
export function useOrdered(path: string) {
  const { shown } = useJob();
  const submit = useSubmit();
  const orderNow = () => {
    const { job } = shown();
    const list = path
      .split("/")
      .reduce<unknown>((value, key) => (value as Record<string, unknown>)[key], job);
    return { job, order: (list as { order: string[] }).order };
  };
  return {
    add: (id: string, item: unknown) => {
      const { job, order } = orderNow();
      void submit.change([
        changeOf(job, `${path}/byId/${id}`, item),
        changeOf(job, `${path}/order`, [...order, id]),
      ]);
    },
    remove: (id: string) => {
      const { job, order } = orderNow();
      void submit.change([
        changeOf(job, `${path}/byId/${id}`, null),
        changeOf(
          job,
          `${path}/order`,
          order.filter((other) => other !== id),
        ),
      ]);
    },
  };
}
