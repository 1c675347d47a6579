import { Navigate } from 'react-router';
import { useProject } from '../project/context';

/** A building is met in Descent; one that has no members yet begins in Brief. */
export function FirstRoom() {
  const { building } = useProject();
  return <Navigate replace to={building.beams.size + building.columns.size > 0 ? 'descent' : 'brief'} />;
}
