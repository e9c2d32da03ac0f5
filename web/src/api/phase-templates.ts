import { phaseTemplates } from '@estribo/core/answers';
import { useMutation, useQuery } from '@tanstack/react-query';
import { v7 } from 'uuid';
import { ask, call } from './http';
import { queries } from './queries';

const key = ['phase-templates'];

/** The clinic's own schedules by name; none while the server does not answer. */
export const usePhaseTemplates = () =>
  useQuery({ queryKey: key, queryFn: () => ask(phaseTemplates, '/phase-templates') }).data?.templates ?? [];

/** Takes a template away; orders that were read out of it stay as they are. */
export const useRemoveTemplate = () =>
  useMutation({
    mutationFn: (id: string) => call('DELETE', `/phase-templates/${id}`),
    onSuccess: () => queries.invalidateQueries({ queryKey: key }),
  });

/** Keeps a text as a template of the clinic's own. */
export const useKeepTemplate = () =>
  useMutation({
    mutationFn: (template: { name: string; text: string }) =>
      call('PUT', `/phase-templates/${v7()}`, template),
    onSuccess: () => queries.invalidateQueries({ queryKey: key }),
  });
