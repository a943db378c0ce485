<?php

declare(strict_types=1);

namespace Lustrum\Action\Build;

use Lustrum\Core\Cost\Sums;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\PartStanding;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Record\Records;
use Lustrum\Shared\Csv;

/** The parts list of a build as CSV, with heads that pasting knows. */
final readonly class PartsCsv
{
    public function __construct(
        private Records $records,
    ) {
    }

    public function of(Revision $build): string
    {
        $out = Csv::line(['name', 'material', 'quantity', 'cost', 'mass g', 'note', 'sum', 'stays', 'relied on by', 'module']);
        foreach ($this->records->all(Part::class, ['revision' => $build]) as $part) {
            $view = $part->view();
            $out .= Csv::line([
                $view->name, $view->material, (string) $view->quantity, (string) $part->cost(), (string) $view->mass, $view->note,
                Sums::ofParts([['quantity' => $view->quantity, 'cost' => (string) $part->cost()]]),
                $view->standing === PartStanding::Stays ? 'yes' : 'no', $view->reliedOn, $view->moduleName,
            ]);
        }

        return $out;
    }
}
