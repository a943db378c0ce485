<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

/** $correction: why it was always so; the runs of the build take it over. Empty: it is a change from now on. */
final readonly class ParameterInput implements RecordInput
{
    /**
     * @param string $text      the quantity as typed, such as '1.60 mm'; of one that is worked out, the unit it is wanted in
     * @param string $formula   that it is worked out by, from others of the build by their names; empty: it is typed
     * @param string $reliedOn  whose fit hangs on it; empty: nobody's
     * @param string $checkedBy who checked that fit on this build
     */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Name]
        public string $name,
        #[Assert\Length(max: 100, maxMessage: 'At most {{ limit }} characters.')]
        public string $text = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $formula = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $reliedOn = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $checkedBy = '',
        #[Note]
        public string $correction = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
