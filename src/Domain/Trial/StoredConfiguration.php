<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Run\Configuration;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/** What runs were made with; those with the same content share one, under its hash. Never changed. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'configuration')]
class StoredConfiguration
{
    #[ORM\Id]
    #[ORM\Column(length: 64)]
    private string $hash;

    public function __construct(
        #[ORM\Column(type: ConfigurationType::NAME)]
        private Configuration $content,
        #[ORM\Column(type: UuidType::NAME)]
        private Uuid $belongsTo,
    ) {
        $this->hash = $content->hash();
    }

    public function hash(): string
    {
        return $this->hash;
    }

    public function content(): Configuration
    {
        return $this->content;
    }

    public function belongsTo(): Uuid
    {
        return $this->belongsTo;
    }
}
