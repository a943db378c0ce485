<?php

declare(strict_types=1);

namespace Lustrum\Action\Run;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Core\Run\Configuration;
use Lustrum\Domain\Trial\StoredConfiguration;
use Symfony\Component\Uid\Uuid;

/** Keeps configurations, each content once. */
final readonly class Configurations
{
    public function __construct(
        private EntityManagerInterface $em,
    ) {
    }

    public function stored(Configuration $content, Uuid $device): StoredConfiguration
    {
        $hash = $this->keep($content, $device);

        return $this->em->getReference(StoredConfiguration::class, $hash) ?? throw new \LogicException('It was just stored.');
    }

    /** @return string the hash that it lies under */
    public function keep(Configuration $content, Uuid $device): string
    {
        // As it will be read back, so that the same content has the same hash on either way.
        $content = Configuration::fromRow($content->toRow());
        $hash = $content->hash();
        $this->em->getConnection()->executeStatement(
            'INSERT INTO configuration (hash, content, belongs_to) VALUES (?, CAST(? AS jsonb), ?) ON CONFLICT (hash) DO NOTHING',
            [
                $hash, json_encode($content, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION | \JSON_UNESCAPED_UNICODE),
                $device->toRfc4122(),
            ],
        );

        return $hash;
    }
}
