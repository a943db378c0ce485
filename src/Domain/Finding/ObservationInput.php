<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ObservationInput implements RecordInput
{
    /**
     * @param string     $saidBy    who said so, where it was not whoever wrote it down
     * @param float|null $after     seconds into its run; null: nobody looked at the clock
     * @param float|null $until     seconds into its run at which it ended; null: it has no length
     * @param string|null $method   that it is an idea for, or a complaint about; null: it is about the device
     * @param bool       $odd       it must be explained or dismissed before anything rests on its run
     * @param string     $explained what it was, or why it does not matter; empty: nobody has said yet
     */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Note]
        public string $text,
        #[Identifier]
        public ?string $run = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $saidBy = '',
        #[Assert\Range(notInRangeMessage: 'Between nought and a hundred days into the run.', min: 0, max: 8640000)]
        public ?float $after = null,
        public bool $odd = false,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $explained = '',
        #[Assert\Range(notInRangeMessage: 'Between nought and a hundred days into the run.', min: 0, max: 8640000)]
        #[Assert\GreaterThanOrEqual(propertyPath: 'after', message: 'It ends after it began.')]
        public ?float $until = null,
        #[Identifier]
        public ?string $method = null,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
