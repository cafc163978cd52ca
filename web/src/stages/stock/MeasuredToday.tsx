import { Button, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { isSheet, printMaterial, sizesOf, TABLE_SIZES, type Plan, type Stocked } from '@sill/core';
import { LengthField } from '../../ui/LengthField';
import { useChangeJob, useJob } from '../../state/hooks';
import { Dim, Text } from '../../words/Dim';

/** What the boards and sheets of this job really measure, typed in beside what the table says they do. */
export function MeasuredToday({ plan }: { readonly plan: Plan | null }) {
  const { measured } = useJob();
  const change = useChangeJob();
  const used = new Set<Stocked>([
    ...(plan?.buying.boards.map(({ material }) => material) ?? []),
    ...(Object.keys(measured) as Stocked[]),
  ]);
  const sizes = sizesOf(measured);
  if (used.size === 0) return null;
  return (
    <section className="sheet" aria-label="Measured today">
      <h2>What today’s boards measure</h2>
      <p className="soft">
        Sold sizes are promises. Measure one board of each size with a caliper or a rule: every part that is as thick or
        as wide as its board follows.
      </p>
      <div className="scroll">
        <Table size="small" aria-label="What today’s boards measure">
          <TableHead>
            <TableRow>
              <TableCell>Board</TableCell>
              <TableCell className="wide-only">Sold as</TableCell>
              <TableCell>Thick</TableCell>
              <TableCell>Wide</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {[...used].map((material) => {
              const name = printMaterial(material);
              return (
                <TableRow key={material}>
                  <TableCell className="tag-cell">
                    <Text of={name} />
                  </TableCell>
                  <TableCell className="soft wide-only">
                    <Dim of={TABLE_SIZES.thickness(material)} />
                    {!isSheet(material) && (
                      <>
                        {' '}
                        × <Dim of={TABLE_SIZES.board(material).width} />
                      </>
                    )}
                  </TableCell>
                  <TableCell>
                    <LengthField
                      label={`${name} is thick`}
                      least={1}
                      value={sizes.thickness(material)}
                      onChange={(value) => change(['measured', material, 'thickness'], value)}
                    />
                  </TableCell>
                  <TableCell>
                    {!isSheet(material) && (
                      <LengthField
                        label={`${name} is wide`}
                        least={1}
                        value={sizes.board(material).width}
                        onChange={(value) => change(['measured', material, 'width'], value)}
                      />
                    )}
                  </TableCell>
                  <TableCell align="right">
                    {measured[material] && (
                      <Button size="small" onClick={() => change(['measured', material], undefined)}>
                        As sold
                      </Button>
                    )}
                  </TableCell>
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </div>
    </section>
  );
}
