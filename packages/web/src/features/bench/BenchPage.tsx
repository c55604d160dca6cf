import { NativeSelect, SegmentedControl } from '@mantine/core';
import { useEffect } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { benchSheets, eachWordsOnce, wordsKey, type Words } from '@long-miter/core';
import { useShownJob } from '../../session/shown-job.ts';
import { SchemeButton } from '../../shared/SchemeButton.tsx';
import { useTitle } from '../../shared/hooks/use-title.ts';
import { useAppDispatch, useAppSelector } from '../../session/store.ts';
import { keepBench, unitPicked } from '../../session/slices/bench-slice.ts';
import { PracticeView } from './PracticeView.tsx';
import { SawPracticeView } from './SawPracticeView.tsx';
import { SheetView } from './SheetView.tsx';
import { lengthFieldsOf } from './length-fields.ts';
import { translate, t } from '../../messages/t.ts';

const PRACTICE = 'practice';
const AT_SAW = 'at-the-saw';
const LENGTH_FIELDS = lengthFieldsOf(benchSheets);
const GROUPS = eachWordsOnce(benchSheets.map((sheet) => sheet.group));

/** Whether a group is the one of a sheet. */
const has = (group: Words, sheet: string): boolean =>
  benchSheets.some((one) => one.key === sheet && wordsKey(one.group) === wordsKey(group));

/** What can be opened in a group: its sheets, and practice beside the simulator. */
const entriesOf = (group: Words): { readonly key: string; readonly name: string }[] => [
  ...benchSheets
    .filter((sheet) => wordsKey(sheet.group) === wordsKey(group))
    .map(({ key, name }) => ({ key, name: translate(name) })),
  ...(has(group, 'fit') ? [{ key: PRACTICE, name: t('practice') }] : []),
  ...(has(group, 'saw-limit') ? [{ key: AT_SAW, name: t('try it: how would you set it?') }] : []),
];

/** The Bench: calculators by the question one asks, with or without a job. */
export function BenchPage() {
  const { sheetKey = 'corner' } = useParams();
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const bench = useAppSelector((state) => state.bench);
  const jobId = params.get('job') ?? '';
  const { data: job } = useShownJob(jobId, { skip: jobId === '' });
  const sheet = benchSheets.find((one) => one.key === sheetKey) ?? benchSheets[0]!;
  const current = sheetKey === PRACTICE || sheetKey === AT_SAW ? sheetKey : sheet.key;
  const query = params.size > 0 ? `?${params.toString()}` : '';
  useEffect(() => keepBench(bench), [bench]);
  useTitle(current === PRACTICE || current === AT_SAW ? t('Practice') : translate(sheet.name), t('Bench'));
  // Opened from a job, the Bench speaks that job's unit.
  const jobUnit = job?.unit;
  useEffect(() => {
    if (jobUnit) dispatch(unitPicked({ unit: jobUnit, lengths: LENGTH_FIELDS }));
  }, [dispatch, jobUnit]);
  return (
    <div className="frame bench">
      <header className="bar">
        <Link
          to="/"
          className="alone"
          style={{ color: 'inherit', fontWeight: 700, textDecoration: 'none' }}
          title={t('All jobs')}
        >
          {t('Long Miter')}
        </Link>
        <span className="stage" aria-current="page">
          {t('Bench')}
        </span>
        {job && (
          <Link
            className="alone"
            to={`/jobs/${job.id}/walk${params.get('room') ? `/${params.get('room')}` : ''}`}
          >
            {t('back to {name}', { name: job.name })}
          </Link>
        )}
        <span style={{ flex: 1 }} />
        <SegmentedControl
          aria-label={t('Unit')}
          data={[
            { value: 'in', label: t('inches') },
            { value: 'mm', label: t('mm') },
          ]}
          value={bench.unit}
          onChange={(unit) => dispatch(unitPicked({ unit, lengths: LENGTH_FIELDS }))}
        />
        <SchemeButton />
      </header>
      <div className="bench-work">
        <nav className="bench-list panel" aria-label={t('Questions')}>
          {GROUPS.map((group) => (
            <div key={wordsKey(group)}>
              <h2>{translate(group)}</h2>
              {entriesOf(group).map(({ key, name }) => (
                <Link
                  key={key}
                  to={`/bench/${key}${query}`}
                  aria-current={key === current ? 'page' : undefined}
                >
                  {name}
                </Link>
              ))}
            </div>
          ))}
        </nav>
        <NativeSelect
          className="bench-pick"
          aria-label={t('Question')}
          size="md"
          value={current}
          data={GROUPS.map((group) => ({
            group: translate(group),
            items: entriesOf(group).map(({ key, name }) => ({ value: key, label: name })),
          }))}
          onChange={(event) => void navigate(`/bench/${event.currentTarget.value}${query}`)}
        />
        <main>
          {current === PRACTICE ? (
            <PracticeView key={bench.unit} />
          ) : current === AT_SAW ? (
            <SawPracticeView key={bench.unit} />
          ) : (
            <SheetView key={sheet.key} sheet={sheet} />
          )}
        </main>
      </div>
    </div>
  );
}
