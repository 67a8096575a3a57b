import { createTransport } from 'nodemailer';

export interface Letter {
  from: string;
  to: string;
  subject: string;
  text: string;
  attachments: { filename: string; content: Buffer | string; contentType: string }[];
}

/**
 * Stands in for a mail server: makes the message a real one would send and hands it back, to be kept in the outbox. Nothing leaves the machine.
 * @returns the whole message, RFC 5322
 */
export async function composeMessage(letter: Letter, at: Date): Promise<string> {
  const transport = createTransport({ streamTransport: true, buffer: true, newline: 'unix' });
  const { message } = await transport.sendMail({ ...letter, date: at });
  return (message as Buffer).toString('utf8');
}
