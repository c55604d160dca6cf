import { Tabs } from '@mantine/core';
import { useState } from 'react';
import { lengthAt, type Profile, type RoomSheet, type Unit } from '@long-miter/core';
import { CeilingEditor } from './CeilingEditor.tsx';
import { CornerDetails } from './CornerDetails.tsx';
import { OpeningsEditor } from '../OpeningsEditor.tsx';
import { Readings } from '../Readings.tsx';
import { StudsEditor } from './StudsEditor.tsx';
import { ThingsEditor } from './ThingsEditor.tsx';
import type { EditSheet, EditSurvey } from '../../../session/drafts/use-sheet.ts';
import { WallActions } from './WallActions.tsx';
import { t } from '../../../messages/t.ts';

interface Props {
  readonly sheet: RoomSheet;
  readonly index: number;
  readonly unit: Unit;
  readonly profiles: readonly Profile[];
  readonly reveal: number;
  readonly edit: EditSurvey;
  readonly editSheet: EditSheet;
  readonly onSelect: (index: number) => void;
}

const many = (count: number | undefined): string => (count ? ` ${count}` : '');

/** Everything the selected wall has, under its row on the walk sheet. */
export function WallDetails({ sheet, index, unit, profiles, reveal, edit, editSheet, onSelect }: Props) {
  const [tab, setTab] = useState<string | null>('openings');
  const { survey, typed, notes } = sheet;
  const wall = survey.walls[index];
  if (!wall) return null;
  const thickness =
    profiles.find((profile) => profile.use === 'base')?.thickness ?? (unit === 'in' ? 0.625 : 15);
  const common = { unit, wall, index, typed, edit };
  return (
    <Tabs value={tab} onChange={setTab} keepMounted={false} pl={12} pb={8} className="wall-details">
      <Tabs.List>
        <Tabs.Tab value="openings">{t('Openings{many}', { many: many(wall.openings?.length) })}</Tabs.Tab>
        {wall.corner && <Tabs.Tab value="corner">{t('Corner')}</Tabs.Tab>}
        <Tabs.Tab value="things">
          {t('On the wall{many}', {
            many: many(
              (wall.interruptions?.length ?? 0) + (wall.points?.length ?? 0) + (wall.furniture?.length ?? 0),
            ),
          })}
        </Tabs.Tab>
        <Tabs.Tab value="studs">{t('Studs')}</Tabs.Tab>
        <Tabs.Tab value="ceiling">{t('Ceiling, hollows')}</Tabs.Tab>
        <Tabs.Tab value="readings">{t('Readings')}</Tabs.Tab>
        <Tabs.Tab value="change">{t('Change')}</Tabs.Tab>
      </Tabs.List>
      <div style={{ padding: '8px 8px 4px' }}>
        <Tabs.Panel value="openings">
          <OpeningsEditor
            {...common}
            reveal={reveal}
            profiles={profiles}
            entry={survey.entry}
            editSheet={editSheet}
          />
        </Tabs.Panel>
        {wall.corner && (
          <Tabs.Panel value="corner">
            <CornerDetails
              {...common}
              corner={wall.corner}
              wallId={wall.id}
              notes={notes}
              thickness={thickness}
              editSheet={editSheet}
            />
          </Tabs.Panel>
        )}
        <Tabs.Panel value="things">
          <ThingsEditor {...common} />
        </Tabs.Panel>
        <Tabs.Panel value="studs">
          <StudsEditor
            unit={unit}
            wallId={wall.id}
            studs={wall.studs}
            firstText={typed[`/walls/${wall.id}/studs/first`]}
            spacingText={typed[`/walls/${wall.id}/studs/spacing`]}
            typed={typed[`/walls/${wall.id}/studs/at`]}
            index={index}
            edit={edit}
          />
        </Tabs.Panel>
        <Tabs.Panel value="ceiling">
          <CeilingEditor {...common} />
        </Tabs.Panel>
        <Tabs.Panel value="readings">
          <Readings
            at={lengthAt(wall.id)}
            what="length"
            reading={wall.length}
            index={index}
            unit={unit}
            notes={notes}
            typed={typed}
            thickness={thickness}
            editSheet={editSheet}
          />
        </Tabs.Panel>
        <Tabs.Panel value="change">
          <WallActions
            survey={survey}
            index={index}
            unit={unit}
            edit={edit}
            editSheet={editSheet}
            onSelect={onSelect}
          />
        </Tabs.Panel>
      </div>
    </Tabs>
  );
}
