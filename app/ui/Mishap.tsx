import { Component, type ReactNode } from 'react';
import { Column } from './layout';
import { Button } from './Button';
import { Body, Heading } from './Text';

type MishapProps = {
  readonly children: ReactNode;
  /** Where one is: at another place it starts afresh. */
  readonly place: string;
  /** What is kept of what was typed, in words, so that nobody types it again for fear. */
  readonly kept: string;
};

/**
 * Shuts a fault of one place in: the rest of the app goes on, what was typed is on the device, and the place can
 * be opened again. React asks for a class here.
 */
export class Mishap extends Component<MishapProps, { readonly fault: Error | null }> {
  override state: { readonly fault: Error | null } = { fault: null };

  static getDerivedStateFromError(fault: unknown): { fault: Error } {
    return { fault: fault instanceof Error ? fault : new Error(String(fault)) };
  }

  override componentDidUpdate(before: MishapProps): void {
    if (this.state.fault && before.place !== this.props.place) this.setState({ fault: null });
  }

  override render(): ReactNode {
    const { fault } = this.state;
    if (!fault) return this.props.children;
    const again = (): void => this.setState({ fault: null });
    return (
      <Column role="alert" padding="$4" gap="$3" alignItems="flex-start" maxWidth={640}>
        <Heading>This place has stumbled</Heading>
        <Body>{this.props.kept}</Body>
        <Body color="$inkSoft">{`What it said: ${fault.message}`}</Body>
        <Button kind="main" onPress={again}>
          Open it again
        </Button>
      </Column>
    );
  }
}
