import Form from 'react-bootstrap/Form';

/** A labelled field of the plan with its problem below it. */
export function PlanField({
  id,
  label,
  error,
  isWide,
  children,
}: {
  id: string;
  label: string;
  error: string | undefined;
  isWide?: boolean | undefined;
  children: React.ReactNode;
}) {
  return (
    <Form.Group controlId={id} className={isWide ? 'plan-field is-wide' : 'plan-field'}>
      <Form.Label>{label}</Form.Label>
      {children}
      {error && (
        <p className="field-problem" role="alert">
          {error}
        </p>
      )}
    </Form.Group>
  );
}
