<?php

declare(strict_types=1);

use Symfony\Component\DependencyInjection\Dumper\Preloader;

/*
 * Loads classes into php-fpm once, when it starts: what the container names, all of ours, and what most requests need of
 * the libraries and the container does not know of, because they make it themselves.
 */
require getenv('LUSTRUM_CACHE').'/prod/Lustrum_KernelProdContainer.preload.php';

$wanted = [
    'Lustrum\\',
    'Doctrine\\DBAL\\Connection', 'Doctrine\\DBAL\\Driver\\AbstractPostgre', 'Doctrine\\DBAL\\Driver\\Middleware', 'Doctrine\\DBAL\\Driver\\PDO',
    'Doctrine\\DBAL\\DriverManager', 'Doctrine\\DBAL\\Platforms\\Postgre', 'Doctrine\\DBAL\\Schema\\Postgre', 'Doctrine\\DBAL\\Types\\',
    'Doctrine\\ORM\\Event', 'Doctrine\\ORM\\Internal\\', 'Doctrine\\ORM\\Mapping\\Driver\\AttributeReader', 'Doctrine\\ORM\\Mapping\\Entity',
    'Doctrine\\ORM\\Mapping\\MappingAttribute', 'Doctrine\\ORM\\Mapping\\PropertyAccessors\\', 'Doctrine\\ORM\\Mapping\\Table',
    'Doctrine\\ORM\\Persisters\\', 'Doctrine\\ORM\\Proxy\\', 'Doctrine\\ORM\\Query', 'Doctrine\\ORM\\Utility\\',
    'Doctrine\\Bundle\\DoctrineBundle\\Mapping\\', 'Doctrine\\Deprecations\\', 'Doctrine\\Instantiator\\', 'Doctrine\\Persistence\\',
    'Symfony\\Bridge\\Doctrine\\Types\\', 'Symfony\\Component\\Cache\\Adapter\\', 'Symfony\\Component\\Cache\\Traits\\CachedValue',
    'Symfony\\Component\\Clock\\', 'Symfony\\Component\\DependencyInjection\\Exception\\', 'Symfony\\Component\\HttpFoundation\\',
    'Symfony\\Component\\PropertyAccess\\', 'Symfony\\Component\\Runtime\\Internal\\SymfonyError',
    'Symfony\\Component\\Security\\Http\\Authenticator\\Token\\', 'Symfony\\Component\\Serializer\\Encoder\\',
    'Symfony\\Component\\Serializer\\Mapping\\', 'Symfony\\Component\\Serializer\\Normalizer\\', 'Symfony\\Component\\String\\Inflector\\',
    'Symfony\\Component\\TypeInfo\\', 'Symfony\\Component\\Uid\\', 'Symfony\\Component\\Validator\\Constraints\\',
    'Symfony\\Component\\Validator\\Context\\', 'Symfony\\Component\\Validator\\Mapping\\', 'Symfony\\Component\\Validator\\Util\\',
    'Symfony\\Component\\Validator\\Validator\\', 'Symfony\\Component\\VarExporter\\',
    'League\\Flysystem\\', 'League\\MimeTypeDetection\\',
];
/** @var array<string, string> $known */
$known = require dirname(__DIR__).'/vendor/composer/autoload_classmap.php';
Preloader::preload(array_values(array_filter(
    array_keys($known),
    static fn (string $class): bool => preg_match('#[/\\\\][Tt]ests?[/\\\\]#', $known[$class]) !== 1
        && array_filter($wanted, static fn (string $beginning): bool => str_starts_with($class, $beginning)) !== [],
)));
