<?php

declare(strict_types=1);

namespace Lustrum\Domain\Heap;

use Lustrum\Domain\Finding\FileMark;
use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class HeapFileInput implements RecordInput
{
    /**
     * @param string         $name     as it was called where it came from
     * @param string         $camera   that took it, as people call it: one clock
     * @param string         $zone     of the place: 'Europe/Berlin'
     * @param string|null    $modified when it was written last, by the device that it came from
     * @param list<FileMark> $marks
     * @param bool           $aside    nobody needs it
     * @param string         $lies     where it stays, for what is not sent; said once
     * @param string         $sha256   of what stays there
     * @param int            $bytes    of what stays there
     * @param string         $type     of what stays there: 'video/mp4'
     * @param float|null     $seconds  that it plays
     */
    public function __construct(
        #[Identifier]
        public string $workspace,
        #[Name]
        public string $name,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $camera = '',
        #[Assert\Length(max: 64, maxMessage: 'At most {{ limit }} characters.')]
        public string $zone = 'UTC',
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public ?string $modified = null,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} marks.')]
        public array $marks = [],
        public bool $aside = false,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $lies = '',
        #[Assert\Regex('/^([0-9a-f]{64})?$/', message: 'This is no SHA-256.')]
        public string $sha256 = '',
        #[Assert\Range(notInRangeMessage: 'Between nothing and a million million bytes.', min: 0, max: 1_000_000_000_000)]
        public int $bytes = 0,
        #[Assert\Regex('~^([a-z]{1,20}/[a-z0-9.+-]{1,58})?$~', message: 'This is no type, such as video/mp4.')]
        public string $type = '',
        #[Assert\Range(notInRangeMessage: 'Between nought and four hours.', min: 0, max: 14400)]
        public ?float $seconds = null,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
