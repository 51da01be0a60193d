import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { BrowserRouter } from 'react-router';

const IN_SCHOOL = /^\/s\/([0-9a-f-]{36})(?=\/|$)/;

interface Address {
  /** The school that the address names; null for none. */
  schoolId: string | null;
  /** Goes to an address in a school. */
  enter: (schoolId: string, path: string) => void;
}

const AddressContext = createContext<Address>({ schoolId: null, enter: () => undefined });

export const useSchoolAddress = () => useContext(AddressContext);

/**
 * Every address of a school begins with it, so that a link means the same for someone who belongs to several; pages
 * link as if there were one.
 */
export function SchoolRouter({ children }: { children: ReactNode }) {
  const [schoolId, setSchoolId] = useState(() => IN_SCHOOL.exec(window.location.pathname)?.[1] ?? null);
  const enter = useCallback((id: string, path: string) => {
    window.history.replaceState(null, '', `/s/${id}${path}`);
    setSchoolId(id);
  }, []);
  const address = useMemo(() => ({ schoolId, enter }), [schoolId, enter]);
  return (
    <AddressContext value={address}>
      <BrowserRouter key={schoolId} {...(schoolId === null ? {} : { basename: `/s/${schoolId}` })}>
        {children}
      </BrowserRouter>
    </AddressContext>
  );
}
