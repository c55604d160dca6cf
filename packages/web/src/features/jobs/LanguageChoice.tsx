import { NativeSelect } from '@mantine/core';
import { chooseLanguage, chosenLanguage, LANGUAGES } from '../../messages/language.ts';
import { t } from '../../messages/t.ts';

/** A language as those who speak it call it. @example nameOf('en-GB') // "British English" */
const nameOf = (one: string): string => new Intl.DisplayNames(one, { type: 'language' }).of(one) ?? one;

/** The language of the page in this browser: its own unless one is chosen. The page is loaded anew in it. */
export function LanguageChoice() {
  return (
    <NativeSelect
      mt="xl"
      w={240}
      size="md"
      label={t('Language')}
      description={t('spelling, numbers and dates; the trade’s words go by the job')}
      value={chosenLanguage() ?? ''}
      data={[
        { value: '', label: t('as this browser') },
        ...LANGUAGES.map((one) => ({ value: one, label: nameOf(one) })),
      ]}
      onChange={(event) => {
        chooseLanguage(LANGUAGES.find((one) => one === event.currentTarget.value));
        window.location.reload();
      }}
    />
  );
}
