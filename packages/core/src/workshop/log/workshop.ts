import { kerfOf, completeHouseRules, sawOf, type JobFile } from '../../job/index.ts';
import type { LoggedPiece, ShopIssue } from './log-file.ts';
import type { RackPiece, ShopPiece, ShopStick } from './state.ts';
import { nextTag } from './tags.ts';
import type { KerfSettings } from '../wood/wood.ts';

/** The workshop while its log is read, event by event. Whoever changes it has checked that the change fits. */
export class Workshop {
  readonly pieces = new Map<string, ShopPiece>();
  readonly sticks = new Map<string, ShopStick>();
  readonly bench: KerfSettings;
  rack: readonly RackPiece[];
  issue: ShopIssue | undefined;
  readonly rackLabels: Set<string>;
  private readonly issues: ReadonlyMap<number, ShopIssue>;

  constructor(job: JobFile, issues: readonly ShopIssue[]) {
    const rules = completeHouseRules(job.houseRules, job.unit);
    this.bench = { kerf: kerfOf(sawOf(job), job.unit), endTrim: rules.endTrim };
    this.issues = new Map(issues.map((issue) => [issue.revision, issue]));
    this.rack = (job.rack ?? []).map((item, index) => ({
      label: item.label ?? item.id ?? `#${index + 1}`,
      profile: item.profile,
      length: item.length,
    }));
    this.rackLabels = new Set(this.rack.map((one) => one.label));
  }

  /** A stick of a plan that was given to the saw. */
  plannedStick(revision: number, id: string): ShopIssue['plan']['sticks'][number] | undefined {
    return this.issues.get(revision)?.plan.sticks.find((one) => one.id === id && one.source !== 'opened');
  }

  setPiece(piece: ShopPiece): void {
    this.pieces.set(piece.tag, piece);
  }

  setStick(stick: ShopStick): void {
    this.sticks.set(stick.letter, stick);
  }

  takeFromRack(label: string): void {
    this.rack = this.rack.filter((one) => one.label !== label);
  }

  putOnRack(piece: RackPiece): void {
    this.rackLabels.add(piece.label);
    this.rack = [...this.rack, piece];
  }

  /** The piece that stands for a plan's piece now: the last of its replacements. */
  newest(planPiece: string): ShopPiece | undefined {
    let found: ShopPiece | undefined;
    for (const one of this.pieces.values()) if (one.piece === planPiece) found = one;
    return found;
  }

  /** What the newest issue asks of a plan's piece. */
  asked(planPiece: string): { readonly plan: LoggedPiece; readonly revision: number } | undefined {
    const plan = this.issue?.plan.pieces.find((one) => one.id === planPiece);
    return plan && this.issue && { plan, revision: this.issue.revision };
  }

  /** Makes a piece again under its next letter, ready to be cut. */
  makeAgain(old: ShopPiece, near: number, measured: boolean): void {
    const now = this.asked(old.piece) ?? { plan: old.plan, revision: old.revision };
    this.setPiece({
      tag: nextTag(old.stem, new Set(this.pieces.keys())),
      stem: old.stem,
      piece: old.piece,
      revision: now.revision,
      state: 'ready',
      near,
      asked: near,
      ...(old.predicted === undefined ? {} : { predicted: old.predicted }),
      measured,
      cutEnds: [],
      fromBlank: false,
      plan: now.plan,
    });
  }
}
