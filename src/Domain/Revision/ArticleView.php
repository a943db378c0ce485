<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Core\Run\Deviation;

final readonly class ArticleView
{
    /**
     * @param list<string>     $lots one 'material: lot' an entry
     * @param list<string>     $standsFor
     * @param list<Deviation>  $deviants
     * @param list<ArticleUse> $uses
     * @param list<string>     $earlier identifiers of builds that it was of before it was reworked
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $serial,
        public array $lots,
        public string $deviations,
        public string $state,
        public string $arm,
        public string $scale,
        public array $standsFor,
        public array $deviants,
        public string $keeper,
        public Whereabouts $whereabouts,
        public array $uses,
        public array $earlier,
        public bool $gathers,
    ) {
    }
}
