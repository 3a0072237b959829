import { say } from '@bright-sprout/words/experiments';
import { planRoutes, type TemplateView } from '@bright-sprout/contract/plans';
import { KIND_WORDS } from '@bright-sprout/core/words';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { X } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import { call, templatesQuery } from '../shared/api/index.ts';
import { FailureNote } from '../shared/ui/index.ts';

/** Plans to start from, the teacher's own first. */
export function TemplateList({ onChoose }: { onChoose: (template: TemplateView) => void }) {
  const queries = useQueryClient();
  const { data, error } = useQuery(templatesQuery);
  const remove = useMutation({
    mutationFn: (templateId: string) => call(planRoutes.removeTemplate, { params: { templateId } }),
    onSuccess: () => queries.invalidateQueries(templatesQuery),
  });
  return (
    <>
      <ul className="template-list" aria-label={say('templates')}>
        {data?.map((template) => (
          <li key={template.id}>
            <button type="button" onClick={() => onChoose(template)}>
              <small>
                {say('days', {
                  kindWords: KIND_WORDS[template.kind].name,
                  cropName: template.cropName,
                  days: template.days,
                })}
              </small>
              <b>{template.question}</b>
              <span>{template.about}</span>
            </button>
            {template.isOwn && (
              <Button
                variant="light"
                size="sm"
                aria-label={say('takeTheTemplateAway', { question: template.question })}
                disabled={remove.isPending}
                onClick={() => remove.mutate(template.id)}
              >
                <X size={15} aria-hidden="true" />
              </Button>
            )}
          </li>
        ))}
      </ul>
      <FailureNote error={error ?? remove.error} />
    </>
  );
}
