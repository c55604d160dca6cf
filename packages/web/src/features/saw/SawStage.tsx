import { Button, Group, Text } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import type { JobFile, JobRecord, Piece, PlanFile } from '@long-miter/core';
import { useWhyNot } from '../../session/rights.ts';
import { useShop } from '../../session/shop/shop.ts';
import { GivePanel } from './GivePanel.tsx';
import { SawPage } from './SawPage.tsx';
import { WorkshopView } from './WorkshopView.tsx';
import { t } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  /** Undefined while it is worked out. */
  readonly plan: PlanFile | undefined;
  readonly onPiece: (piece: Piece) => void;
  /** What is shown while there is no plan. */
  readonly noPlan: ReactNode;
}

/** Saw: what is planned until it is given, then what was given, whatever is planned meanwhile. */
export function SawStage({ job, file, plan, onPiece, noPlan }: Props) {
  const session = useShop(job.id, file, 'saw');
  const [giving, setGiving] = useState(false);
  const notLead = useWhyNot('lead');
  const given = session.shop?.issue !== undefined;
  // What was planned must not stand here for a moment where something was given.
  if (session.loading) return <main className="saw-page" aria-busy="true" />;
  if (giving && plan)
    return (
      <GivePanel
        job={job}
        file={file}
        plan={plan}
        session={session}
        onGiven={() => setGiving(false)}
        onLeave={() => setGiving(false)}
      />
    );
  if (giving) return noPlan;
  if (given && session.shop)
    return (
      <WorkshopView
        job={job}
        file={file}
        shop={session.shop}
        session={session}
        planned={plan?.pieces}
        onGive={() => setGiving(true)}
      />
    );
  if (!plan) return noPlan;
  return (
    <SawPage
      job={job}
      file={file}
      plan={plan}
      onPiece={onPiece}
      give={
        notLead === undefined ? (
          <Group gap={8}>
            <Button size="compact-md" onClick={() => setGiving(true)}>
              {t('Give to the saw')}
            </Button>
          </Group>
        ) : (
          <Text size="sm" c="dimmed">
            {t('Not given to the saw yet: the lead gives it.')}
          </Text>
        )
      }
    />
  );
}
