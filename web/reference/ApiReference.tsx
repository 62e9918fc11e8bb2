'use client';

import { Fragment } from 'react';
import styled from 'styled-components';
import { formOf, nameOf, type Schema } from './form';
import { reference as WORDS } from './words';

interface Parameter {
  readonly name: string;
  readonly in: string;
  readonly description?: string;
  readonly required?: boolean;
  readonly schema: Schema;
}
interface Answer {
  readonly description: string;
  readonly content?: Readonly<Record<string, { readonly schema: Schema }>>;
}
interface Operation {
  readonly operationId: string;
  readonly summary: string;
  readonly tags: readonly string[];
  readonly parameters: readonly Parameter[];
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: Schema }>> };
  readonly responses: Readonly<Record<string, Answer>>;
}

/** The description of the interface, as far as this page reads it. */
export interface Described {
  readonly info: { readonly description: string };
  readonly tags: readonly { readonly name: string }[];
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, Schema>> };
}

interface Refusal {
  readonly status: string;
  readonly name: string;
  readonly title: string;
}

interface ReferenceProps {
  readonly described: Described;
  readonly problems: readonly Refusal[];
  /** What a request looks like. */
  readonly example: string;
}

const Page = styled.main`
  max-width: 62rem;
  margin: 0 auto;
  padding: 1.2rem 1.5rem 4rem;
  font-size: 0.94rem;
  line-height: 1.5;
  p,
  ol,
  pre {
    margin-top: 0.5rem;
  }
  h1 {
    font-size: 1.4rem;
  }
  h2 {
    margin-top: 2.2rem;
    padding-bottom: 0.2rem;
    border-bottom: 2px solid var(--ink);
    font-size: 1.1rem;
  }
  h3 {
    margin-top: 1.6rem;
    font-size: 1rem;
    overflow-wrap: anywhere;
  }
  ol {
    padding-left: 1.4rem;
    list-style: decimal;
  }
  pre,
  code {
    font-family: ui-monospace, 'DejaVu Sans Mono', monospace;
    font-size: 0.86em;
  }
  pre {
    padding: 0.6rem 0.8rem;
    overflow-x: auto;
    background: var(--panel);
    border: 1px solid var(--rule);
  }
`;

const Rows = styled.table`
  width: 100%;
  margin-top: 0.3rem;
  border-collapse: collapse;
  table-layout: fixed;
  th,
  td {
    padding: 0.2rem 0.8rem 0.2rem 0;
    border-bottom: 1px solid var(--rule);
    text-align: left;
    vertical-align: top;
    overflow-wrap: anywhere;
  }
  th {
    color: var(--soft);
    font-weight: 400;
  }
  tr > :first-child {
    width: 14rem;
  }
  tr > :nth-child(2):not(:last-child) {
    width: 18rem;
  }
`;

const Method = styled.code`
  display: inline-block;
  min-width: 4.2em;
  font-weight: 700;
  text-transform: uppercase;
`;

const Soft = styled.span`
  color: var(--soft);
`;

/** How the interface is asked and answers, for people: made of the description that programs read. */
export function ApiReference({ described, problems, example }: ReferenceProps) {
  const all = Object.entries(described.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]) => ({ path, method, operation })),
  );
  return (
    <Page>
      <h1>{WORDS.title}</h1>
      <p>{WORDS.what}</p>
      <ol>
        {WORDS.how.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <p>{described.info.description}</p>
      <p>{WORDS.example}</p>
      <pre tabIndex={0}>{example}</pre>
      <p>
        <a href="/api/openapi.json">{WORDS.document}</a> · <a href="/">{WORDS.back}</a>
      </p>
      {described.tags.map(({ name }) => (
        <section key={name} aria-label={name}>
          <h2>{name}</h2>
          {all
            .filter(({ operation }) => operation.tags.includes(name))
            .map((one) => (
              <OperationPart key={one.operation.operationId} {...one} />
            ))}
        </section>
      ))}
      <section aria-label={WORDS.problems}>
        <h2>{WORDS.problems}</h2>
        <Rows>
          <tbody>
            {problems.map(({ status, name, title }) => (
              <tr key={status} id={name}>
                <td>
                  <code>{status}</code>
                </td>
                <td>{title}</td>
              </tr>
            ))}
          </tbody>
        </Rows>
      </section>
      <section aria-label={WORDS.classes}>
        <h2>{WORDS.classes}</h2>
        {Object.entries(described.components.schemas).map(([name, schema]) => (
          <Fragment key={name}>
            <h3 id={name}>{name}</h3>
            <Properties schema={schema} />
          </Fragment>
        ))}
      </section>
    </Page>
  );
}

interface OperationProps {
  readonly path: string;
  readonly method: string;
  readonly operation: Operation;
}

function OperationPart({
  path,
  method,
  operation: { operationId, summary, parameters, requestBody, responses },
}: OperationProps) {
  const answers = Object.entries(responses).filter(([status]) => Number(status) < 400);
  const refusals = Object.keys(responses).filter((status) => Number(status) >= 400);
  return (
    <section aria-label={operationId}>
      <h3 id={operationId}>
        <Method>{method}</Method> <code>{path}</code>
      </h3>
      <p>{summary}</p>
      {parameters.length > 0 && (
        <Rows>
          <thead>
            <tr>
              <th scope="col">{WORDS.parameter}</th>
              <th scope="col">{WORDS.form}</th>
              <th scope="col">{WORDS.says}</th>
            </tr>
          </thead>
          <tbody>
            {parameters.map(({ name, in: place, required, schema, description }) => (
              <tr key={`${place} ${name}`}>
                <td>
                  <code>{name}</code>{' '}
                  <Soft>{required && place !== 'path' ? `${WORDS.place[place]}, ${WORDS.required}` : WORDS.place[place]}</Soft>
                </td>
                <td>{formOf(schema)}</td>
                <td>{description}</td>
              </tr>
            ))}
          </tbody>
        </Rows>
      )}
      <Rows>
        <tbody>
          {requestBody &&
            Object.entries(requestBody.content).map(([type, { schema }]) => (
              <tr key={type}>
                <td>{WORDS.body}</td>
                <td>
                  <Form schema={schema} /> <Soft>{type}</Soft>
                </td>
              </tr>
            ))}
          {answers.map(([status, { description, content = {} }]) => (
            <tr key={status}>
              <td>
                {WORDS.answers} <code>{status}</code>
              </td>
              <td>
                {description}
                {Object.entries(content).map(([type, { schema }]) => (
                  <span key={type}>
                    {': '}
                    <Form schema={schema} /> <Soft>{type}</Soft>
                  </span>
                ))}
              </td>
            </tr>
          ))}
          <tr>
            <td>{WORDS.orRefuses}</td>
            <td>
              <code>{refusals.join(', ')}</code>
            </td>
          </tr>
        </tbody>
      </Rows>
    </section>
  );
}

/** What a value may be; a class leads to what it holds. */
function Form({ schema }: { readonly schema: Schema }) {
  const name = nameOf(schema);
  return name === undefined ? formOf(schema) : <a href={`#${name}`}>{name}</a>;
}

function Properties({ schema: { properties = {}, required = [] } }: { readonly schema: Schema }) {
  return (
    <Rows>
      <tbody>
        {Object.entries(properties).map(([key, { description, ...schema }]) => (
          <tr key={key}>
            <td>
              <code>{key}</code> {required.includes(key) && <Soft>{WORDS.required}</Soft>}
            </td>
            <td>
              {schema.oneOf ? (
                schema.oneOf.map((one, i) => (
                  <span key={i}>
                    {i > 0 && ' · '}
                    <Form schema={one} />
                  </span>
                ))
              ) : (
                <Form schema={schema} />
              )}
            </td>
            <td>{description}</td>
          </tr>
        ))}
      </tbody>
    </Rows>
  );
}
