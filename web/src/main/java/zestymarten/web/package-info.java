/** The application: pages, interface and storage. All rules of the job are in the core. */
@NullMarked
package zestymarten.web;

import org.jspecify.annotations.NullMarked;
