<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('builds', static function (Blueprint $table): void {
            $table->char('id', 26)->primary();
            $table->unsignedInteger('position');
            $table->string('name');
            // The kit is one aggregate: edited, validated and stored whole (docs/decisions/0001).
            $table->text('kit');
            $table->unsignedInteger('revision')->default(1);
            $table->boolean('demo')->default(false);
        });
        Schema::create('changes', static function (Blueprint $table): void {
            $table->char('id', 26)->primary();
            $table->char('build_id', 26);
            $table->unsignedInteger('revision');
            $table->string('title');
            $table->text('edits');
            $table->text('inverse');
            $table->char('undoes', 26)->nullable();
            $table->unsignedBigInteger('at');
            $table->foreign('build_id')->references('id')->on('builds')->cascadeOnDelete();
            $table->unique(['build_id', 'revision']);
        });
        Schema::create('events', static function (Blueprint $table): void {
            $table->increments('number');
            $table->char('id', 26);
            $table->char('build_id', 26);
            $table->string('kind', 20);
            $table->unsignedBigInteger('at');
            $table->unsignedBigInteger('recorded');
            $table->string('step_key', 200)->nullable();
            $table->text('body');
            $table->foreign('build_id')->references('id')->on('builds')->cascadeOnDelete();
            $table->unique('id');
            $table->index(['build_id', 'at']);
            $table->index(['build_id', 'step_key']);
        });
        Schema::create('products', static function (Blueprint $table): void {
            $table->char('id', 26)->primary();
            $table->unsignedInteger('position');
            $table->text('body');
            $table->boolean('demo')->default(false);
        });
        Schema::create('readings', static function (Blueprint $table): void {
            $table->increments('id');
            $table->unsignedBigInteger('at');
            $table->float('temperature_c');
            $table->float('humidity');
            $table->index('at');
        });
        Schema::create('settings', static function (Blueprint $table): void {
            $table->string('name', 60)->primary();
            $table->text('value');
        });
    }

    public function down(): void
    {
        foreach (['settings', 'readings', 'products', 'events', 'changes', 'builds'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
