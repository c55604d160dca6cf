import { message, type Words, lengthFigure } from '../../messages/index.ts';
import { kerfOf, sawOf, type JobFile, type Saw } from '../../job/index.ts';

import { SAME_LENGTH } from '../../base/index.ts';
import type { PlanOptions } from '../solve/options.ts';

/** One thing that might be otherwise: asked of the optimiser beside the plan, never changed in the job. */
export type Variation =
  | { readonly kind: 'only-length'; readonly length: number }
  /** The supplier has so many left of a length. */
  | { readonly kind: 'count'; readonly profile: string; readonly length: number; readonly count: number }
  | { readonly kind: 'no-splices' }
  | { readonly kind: 'splices-save' }
  | { readonly kind: 'rack-first' }
  | { readonly kind: 'no-rack' }
  /** As few sticks given up as possible of the plan before the last change. */
  | { readonly kind: 'keep-sticks' }
  | { readonly kind: 'kerf'; readonly kerf: number }
  | { readonly kind: 'margin'; readonly margin: number };

/** The job, and how to plan it, were that otherwise. */
export function vary(
  job: JobFile,
  variation: Variation,
): { job: JobFile; options: Pick<PlanOptions, 'whole' | 'rackFirst' | 'keepSticks'> } {
  switch (variation.kind) {
    case 'only-length': {
      const asked = (length: number): boolean => Math.abs(length - variation.length) < SAME_LENGTH;
      // Trim that is not sold in that length is not what the question is about.
      const sold = new Set(job.stock.filter((item) => asked(item.length)).map((item) => item.profile));
      return {
        job: { ...job, stock: job.stock.filter((item) => !sold.has(item.profile) || asked(item.length)) },
        options: {},
      };
    }
    case 'count':
      return {
        job: {
          ...job,
          stock: job.stock.map((item) =>
            item.profile === variation.profile && Math.abs(item.length - variation.length) < SAME_LENGTH
              ? { ...item, count: variation.count }
              : item,
          ),
        },
        options: {},
      };
    case 'no-splices':
      return { job, options: { whole: true } };
    case 'splices-save':
      return { job: { ...job, houseRules: { ...job.houseRules, splices: 'saving' } }, options: {} };
    case 'rack-first':
      return { job, options: { rackFirst: true } };
    case 'keep-sticks':
      return { job, options: { keepSticks: true } };
    case 'no-rack':
      return { job: { ...job, rack: [] }, options: {} };
    case 'margin':
      return { job: { ...job, houseRules: { ...job.houseRules, cutMargin: variation.margin } }, options: {} };
    case 'kerf': {
      const saw = sawOf(job);
      // Without a saw of its own a job is cut by a plain one; only the kerf counts for the plan.
      const plain: Saw = {
        id: 'plain',
        maxMiterLeft: 50,
        maxMiterRight: 50,
        maxBevelLeft: 45,
        maxBevelRight: 45,
        standingHeight: 1e6,
        flatWidth: 1e6,
        kerf: kerfOf(undefined, job.unit),
      };
      const asked: Saw = { ...(saw ?? plain), kerf: variation.kerf };
      return { job: { ...job, saws: [asked], saw: asked.id }, options: {} };
    }
  }
}

/** The question in words. */
export function variationWords(job: JobFile, variation: Variation): Words {
  const size = (length: number): Words => lengthFigure(length, job.unit);
  switch (variation.kind) {
    case 'only-length':
      return message('whatif.only-sticks-of', { length: size(variation.length) });
    case 'count': {
      const name = job.profiles.find((one) => one.id === variation.profile)?.name ?? variation.profile;
      return message('whatif.only-sticks-of-to-be-had', {
        count: variation.count,
        name,
        length: size(variation.length),
      });
    }
    case 'no-splices':
      return message('whatif.no-splices');
    case 'splices-save':
      return message('whatif.splices-wherever-they-save');
    case 'rack-first':
      return message('whatif.the-rack-used-up-first');
    case 'no-rack':
      return message('whatif.nothing-from-the-rack');
    case 'keep-sticks':
      return message('whatif.as-few-sticks-changed-as-possible');
    case 'margin':
      return variation.margin === 0
        ? message('whatif.no-margin-for-cutting')
        : message('whatif.a-margin-of-a-piece', { margin: size(variation.margin) });
    case 'kerf':
      return message('whatif.a-kerf-of', { kerf: size(variation.kerf) });
  }
}
