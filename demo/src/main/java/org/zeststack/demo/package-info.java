/** The invented workshop that the demo shows. Nobody's recipes, nobody's runs. */
package org.zeststack.demo;
