<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Field;

use Lustrum\Domain\Revision\ArticleView;
use Lustrum\Domain\Revision\RevisionView;

/** What a phone takes along of a build, so that runs can be made and judged without network. */
final readonly class FieldSheet
{
    /**
     * @param list<FieldTrial>  $trials   that are not done
     * @param list<ArticleView> $articles that are here
     * @param list<string>      $modes    of failure that are known on this device
     * @param list<string>      $places   on the device
     */
    public function __construct(
        public string $sentence,
        public string $device,
        public string $deviceName,
        public RevisionView $revision,
        public array $trials,
        public array $articles,
        public array $modes,
        public array $places,
    ) {
    }
}
