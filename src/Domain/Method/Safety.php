<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Wording\MethodWords;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Note;

/** Hazards, usual cautions and when to stop. It never replaces local rules or a professional's judgement. */
final readonly class Safety
{
    /**
     * @param list<string> $hazards
     * @param list<string> $cautions
     * @param string       $abort        when to stop; blank: a run can only start with a named override
     * @param list<string> $agreedBy     whose agreement is needed, in this order; none: anybody's, where a sign-off is needed
     * @param bool         $needsSignOff a person is at risk, or a permit or a licensed practitioner is needed
     */
    public function __construct(
        #[Choices]
        public array $hazards = [],
        #[Choices]
        public array $cautions = [],
        #[Note]
        public string $abort = '',
        public bool $needsSignOff = false,
        #[Choices]
        public array $agreedBy = [],
    ) {
    }

    /** One sentence to have in sight while it is run; empty where no hazard was written down. */
    public function inSight(bool $isAgreed): string
    {
        return $this->hazards === [] ? '' : MethodWords::mind(
            $this->hazards, $this->cautions, $this->abort, $this->needsSignOff && !$isAgreed,
        );
    }
}
