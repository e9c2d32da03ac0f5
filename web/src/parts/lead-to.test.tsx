import { render, screen } from '@testing-library/react';
import { useEffect, useRef } from 'react';
import { MemoryRouter, Route, Routes, useNavigate } from 'react-router';
import { LeadTo } from './lead-to';

/** Presses the link to an address once more, just after it has led on. */
function PressedAgain({ at }: { at: string }) {
  const navigate = useNavigate();
  const pressed = useRef(false);
  useEffect(() => {
    if (pressed.current) return;
    pressed.current = true;
    void navigate(at);
  });
  return <LeadTo to="/clinic/users" />;
}

test.each([
  ['once', <LeadTo key="once" to="/clinic/users" />],
  ['and pressed again on the way', <PressedAgain key="again" at="/clinic" />],
])('it leads to where there is something, %s', (_, element) => {
  render(
    <MemoryRouter initialEntries={['/clinic']}>
      <Routes>
        <Route path="/clinic" element={element} />
        <Route path="/clinic/users" element={<p>The users</p>} />
      </Routes>
    </MemoryRouter>,
  );
  expect(screen.getByText('The users')).toBeTruthy();
});
