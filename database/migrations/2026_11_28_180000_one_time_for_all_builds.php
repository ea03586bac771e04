<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Single dates beside the weekly pattern of sessions, the user's guns, and what the search found for all builds together. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('session_dates', static function (Blueprint $table): void {
            $table->char('date', 10)->primary();
            $table->text('sessions');
        });
        Schema::create('guns', static function (Blueprint $table): void {
            $table->char('id', 26)->primary();
            $table->string('name', 60);
            $table->float('nozzle_mm');
            $table->float('cup_ml');
            $table->unsignedInteger('position');
        });
        Schema::create('hints', static function (Blueprint $table): void {
            $table->unsignedInteger('id')->primary();
            $table->string('state', 100);
            $table->text('hints');
            $table->unsignedBigInteger('at');
        });
    }

    public function down(): void
    {
        Schema::drop('hints');
        Schema::drop('guns');
        Schema::drop('session_dates');
    }
};
